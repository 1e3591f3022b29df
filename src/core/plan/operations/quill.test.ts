import { startValues } from '../../model/shop/startValues';
import { only, planned, runOf, step } from '../../testing';
import { strokesOf } from './quill';

const { run } = planned(runOf({}));

test('by hand: 100 of quill go to 100; to 120 the tailstock is pushed up once, to 250 twice, 0.15 each', () => {
  const minutes = (to: number) => strokesOf(to, run).byHand?.map((one) => one.minutes);
  expect(minutes(100)).toBeUndefined();
  expect(minutes(120)).toEqual([0.15]);
  expect(minutes(250)).toEqual([0.3]);
  expect(strokesOf(100, run).cautions).toEqual([]);
  expect(strokesOf(120, run).cautions[0]?.text).toContain('the depth counted on from there');
});

test('a hole of 120 in a blank is drilled by a long drill, its minutes with those of the tailstock', () => {
  const tube = runOf(
    { outside: [step(40, 120)], bores: [{ from: 'front', shape: 'drill', diameter: 10, depth: 'through' }] },
    { way: 'sawn-blanks', stock: { size: 45 } },
  );
  const drill = only(tube, 'drill');
  expect(drill.tool).toMatchObject({ toGet: true, diameter: 10 });
  expect(drill.to).toBeGreaterThan(startValues.machines[0]?.quillTravel ?? Infinity);
  expect(drill.hand.terms).toContainEqual(
    expect.objectContaining({ name: expect.stringContaining('quill drawn back') }),
  );
});
