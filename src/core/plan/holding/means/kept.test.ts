import { MADE_HOLDERS } from '../../../model/shop/machine';
import { startValues } from '../../../model/shop/startValues';
import type { Shop } from '../../../model/shop/shop';
import { kitOf } from '../../../present/kit';
import { planned, runOf, step } from '../../../testing';
import { holdingKinds } from '.';

/** A finished stud ⌀12 that is held by it for its back, in a bush. */
const stud = runOf(
  {
    outside: [step({ size: 12, fit: 'h7' }, 18), step(20, 8)],
    details: [{ kind: 'chamfer', at: 26, size: 0.5, side: 'back' }],
  },
  { way: 'from-bar', firstEnd: 'front', overrules: [{ holding: { kind: 'split-bush', grip: 'part.outside[0]' } }] },
);

const keeping = (diameter: number): Shop => ({
  ...startValues,
  holders: [{ name: 'bush 12', kind: 'split-bush', diameter, place: 'drawer 3' }],
});

test('what may be kept is what is made for what it holds', () => {
  expect(holdingKinds.flatMap(({ kind, madeFor }) => (madeFor ? [kind] : [])).sort()).toEqual([...MADE_HOLDERS].sort());
});

// A split bush is made in 15 minutes; one that is kept is on again in 3.
test('a bush that is kept is fetched from its place, and twelve minutes of making it are saved', () => {
  const [made, kept] = [planned(stud), planned(stud, keeping(12))];
  expect(made.setups[1]?.setup.holding.kind).toBe('split-bush');
  expect(kept.setups[1]?.setup.holding.kept).toEqual({ name: 'bush 12', place: 'drawer 3' });
  expect(made.times.setup.value - kept.times.setup.value).toBeCloseTo(12, 9);
  expect(kitOf(kept)).toContainEqual({ for: 'hold', what: 'bush 12', place: 'drawer 3', has: true });
  expect(kitOf(made)).toContainEqual(expect.objectContaining({ what: 'split bush, bored to ⌀12', has: 'to make' }));
});

test('one of another size is of no use', () => {
  expect(planned(stud, keeping(11.9)).setups[1]?.setup.holding.kept).toBeUndefined();
});

test('a threaded holder is for its own thread', () => {
  const threaded = (thread: string) => {
    const shop: Shop = { ...startValues, holders: [{ name: 'holder', kind: 'threaded-holder', diameter: 10, thread }] };
    const run = runOf(
      {
        outside: [step(10, 20), step(18, 8)],
        details: [
          { kind: 'chamfer', at: 0, size: 1 },
          { kind: 'groove', at: 17, width: 3, bottom: 8 },
          { kind: 'thread', at: 0, length: 17, designation: 'M10' },
        ],
      },
      { way: 'from-bar', firstEnd: 'front', overrules: [{ holding: { kind: 'threaded-holder' } }] },
    );
    const holding = planned(run, shop).setups[1]?.setup.holding;
    if (!holding) throw new Error('there is a second set-up');
    return holding;
  };
  expect(threaded('M10')).toMatchObject({ kind: 'threaded-holder', kept: { name: 'holder' } });
  expect(threaded('M10x1').kept).toBeUndefined();
});
