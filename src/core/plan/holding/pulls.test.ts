import type { RunFile } from '../../read/runFile';
import { startValues } from '../../model/shop/startValues';
import { planFile } from '../plan';
import { planned, problemsOf, runOf, step } from '../../testing';
import { usual, type Skeleton } from '../skeleton';

const drawn = (way: 'from-bar' | 'sawn-blanks'): Skeleton => ({ ...usual(way), drawnOut: true });
const planOf = (file: RunFile, skeleton = drawn('from-bar')) => planned(file, startValues, { only: [skeleton] });

/** A bar of ⌀12 as drawn, threaded in front and knurled half-way. */
const lever = (length: number): RunFile =>
  runOf(
    {
      material: 'mild-steel',
      outside: [step(10, 18), step(12, length - 18)],
      details: [
        { kind: 'groove', at: 15, width: 3, bottom: 7.5 },
        { kind: 'thread', at: 0, length: 15, designation: 'M10' },
        { kind: 'knurl', at: 105, length: 40, pattern: 'diamond', pitch: 0.8 },
      ],
    },
    { quantity: 6 },
  );

describe('drawn out a piece at a time', () => {
  const { setups, proof, stock } = planOf(lever(250));
  const held = setups.map(({ setup }) => setup);

  test('by hand: 18 of it, then the knurl, then the part-off, each 5 before the jaws, and turned round', () => {
    // ⌀12 bears 4 · 12 = 48 of stick-out: 0.3 to face and 18 are 23.3 with 5 clear, up to the knurl at 145 would be 150.
    expect(held.map(({ end, number }) => [number, end])).toEqual([
      [1, 'front'],
      [2, 'front'],
      [3, 'front'],
      [4, 'back'],
    ]);
    expect(held[0]?.stickOut.value).toBeCloseTo(18 + stock.frontFacing + 5, 9);
    // What is faced is not faced again: 105 to 145 is cut within 45 of the jaws, and no centre is wanted.
    expect(held[1]).toMatchObject({ facing: 0, drawnOut: true, supported: false });
    expect(held[1]?.stickOut.value).toBeCloseTo(145 + 5, 9);
    expect(setups[1]?.operations.map(({ kind }) => kind)).toEqual(['knurl']);
    expect(held[2]?.stickOut.value).toBeCloseTo(250 + stock.backFacing + (stock.blade?.width ?? 0) + 5, 9);
    expect(setups[2]?.operations.map(({ kind }) => kind)).toEqual(['part-off']);
    expect(proof.passed).toBe(true);
  });

  test('it is pulled to its stop for each, and held by the same collet', () => {
    expect(setups.slice(0, 3).map(({ loading }) => loading.value)).toEqual([0.3, 0.3, 0.3]);
    expect(setups[1]?.setting.terms.some(({ name }) => name.startsWith('make ready to hold'))).toBe(false);
    expect(setups.map(({ workStop }) => workStop.means)).toEqual(['bar-stop', 'bar-stop', 'bar-stop', 'spindle-stop']);
  });

  test('a blank is loaded once and taken out once', () => {
    const blank = planOf(lever(250), { ...drawn('sawn-blanks'), clearance: 5 }).setups;
    const named = (index: number) => blank[index]?.loading.terms.map(({ name }) => name.replace(/ in .*/, '')) ?? [];
    expect(named(0)).toEqual(['saw the blank', 'load']);
    expect(named(1)).toEqual(['draw it out to its stop', 'unload and wipe']);
  });
});

test('what goes on for longer than is borne wants a centre, which the first pull makes', () => {
  // ⌀12 from ⌀16 over 90: 4 · 16 = 64 would be borne.
  const shaft = runOf({ material: 'mild-steel', outside: [step('12 h8', 90), step(16, 20)] });
  const { setups, proof } = planOf(shaft);
  expect(setups[0]?.operations.map(({ kind }) => kind)).toEqual(['face', 'centre']);
  expect(setups[1]?.setup).toMatchObject({ supported: true, centres: false, drawnOut: true });
  expect(setups[1]?.operations.some(({ kind }) => kind === 'turn-finish')).toBe(true);
  expect(proof.passed).toBe(true);
});

test('refused where a hole is wider than the centre, 20, where it is short, and where it was decided how far it stands out', () => {
  const only = (file: RunFile) => {
    const run = { ...file, way: 'from-bar' as const };
    return () => planOf(run);
  };
  const shaft: RunFile['part']['outside'] = [step('12 h8', 90), step(16, 20)];
  const bores = [{ from: 'front' as const, shape: 'drill' as const, diameter: 20, depth: 30 }];
  const wide = [step('26 h8', 120), step(30, 20)];
  expect(only(runOf({ outside: wide, bores }))).toThrow('a hole in that face takes its place');
  expect(only(runOf({ outside: [step(12, 20)] }))).toThrow('near enough to the jaws as it stands out');
  expect(only({ ...runOf({ outside: shaft }), overrules: [{ setup: 1, stickOut: 120 }] })).toThrow('was decided');
  expect(problemsOf(runOf({ outside: shaft }, { quantity: 0 }))[0]?.path).toBe('quantity');
});

test('a hole that is drilled before it is drawn out takes the centre in its mouth: a valve guide of ⌀14, 60 long', () => {
  // From ⌀15 as it stands 60 + 6.8 would be faced without a centre, and 4 · 15 = 60 are borne.
  const guide = runOf(
    {
      material: 'bronze',
      outside: [step('14 s6', 60, { chamfers: { front: 1, back: 0.5 } })],
      bores: [{ from: 'front', shape: 'ream', diameter: '8 H7', depth: 'through' }],
    },
    { quantity: 8, way: 'from-bar' },
  );
  const { setups, proof } = planned(guide, startValues, {});
  expect(setups[0]?.operations.map(({ kind }) => kind)).toEqual(['face', 'centre', 'drill']);
  expect(setups[0]?.setup.stickOut.value).toBeLessThan(10);
  expect(setups[1]?.setup).toMatchObject({ supported: true, drawnOut: true });
  expect(proof.faults).toEqual([]);
});

test('a long sleeve of ⌀10 with a reamed hole of ⌀5 is drilled and reamed short, then drawn out with the centre in its mouth', () => {
  const sleeve = runOf(
    {
      material: 'tool-steel',
      outside: [step('10 h6', 90), step(16, 6)],
      bores: [{ from: 'front', shape: 'ream', diameter: '5 H7', depth: 'through' }],
    },
    { quantity: 4 },
  );
  const { setups, proof, skeleton } = planned(sleeve, startValues, {});
  expect(skeleton.drawnOut).toBe(true);
  expect(setups[0]?.operations.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['centre', 'drill', 'ream']));
  expect(setups[1]?.setup).toMatchObject({ supported: true, drawnOut: true });
  expect(proof.faults).toEqual([]);
});

test('a step is turned past its end where what comes behind is no wider and waits for the next pull: 30 and 1 of overrun', () => {
  // ⌀14 bears 4 · 14 = 56: up to 30, up to 130 under the centre, and the rest with the part-off.
  const { setups, proof } = planOf(
    runOf({ material: 'free-cutting-steel', outside: [step(12, 30), step(10.5, 100), step(12, 30)] }),
  );
  expect(setups[0]?.setup.turned.map(({ path, to }) => [path, to])).toEqual([['part.outside[0]', 31]]);
  expect(setups[0]?.setup.stickOut.value).toBeCloseTo(31 + 5 + 0.3, 9);
  expect(proof.faults).toEqual([]);
});

describe('a ball end, in which no centre can be', () => {
  // Neck and screw bend as a thinner bar than the ⌀20 that they are turned from: by 4 · 20 = 80 all of it would stand out at once.
  const jack = runOf(
    {
      material: 'free-cutting-steel',
      outside: [
        { shape: 'sphere', diameter: 12, length: 11 },
        step(9, 4),
        step(16, 40),
        step(20, 8, { chamfers: { back: 1 } }),
      ],
      details: [
        { kind: 'groove', at: 51, width: 4, bottom: 13 },
        { kind: 'thread', at: 15, length: 36, designation: 'M16' },
        { kind: 'knurl', at: 56, length: 6, pattern: 'diamond', pitch: 0.8 },
      ],
    },
    { quantity: 6, way: 'from-bar' },
  );

  test('at once it is refused: the end of a ball is no wider than the smallest centre', () => {
    const at = planFile(jack, startValues, 'all', { only: [usual('from-bar')] });
    expect(at.ok).toBe(false);
  });

  test('it is drawn out for what lies farther behind, and nothing holds its front', () => {
    const { setups, proof } = planned(jack, startValues, {});
    const firsts = setups.filter(({ setup }) => setup.side === 1);
    expect(firsts.map(({ setup }) => setup.supported)).toEqual([false, false]);
    expect(firsts[0]?.operations.some(({ kind }) => kind === 'thread')).toBe(true);
    expect(firsts[1]?.operations.map(({ kind }) => kind)).toEqual(['part-off']);
    expect(proof.faults).toEqual([]);
  });

  test('over a knurl that ends 1 before the face, jaws stand as far from the face as anywhere: 2', () => {
    const { setups } = planned(jack, startValues, {});
    const back = setups.at(-1)?.setup;
    expect(back?.end).toBe('back');
    expect(back?.holding.from).toBeGreaterThanOrEqual(2);
  });
});

describe('a needle stem: cone 1 to 5 over 8, ⌀5 × 20, ⌀8 × 14, ⌀6 × 12', () => {
  // All of ⌀5 would stand 30 out, six of its diameters, and its tip is no wider than the smallest centre.
  const stem = runOf(
    {
      material: 'stainless-303',
      outside: [
        { shape: 'cone', from: 1, to: 5, length: 8 },
        step(5, 20),
        step(8, 14),
        step(6, 12, { chamfers: { back: 0.5 } }),
      ],
    },
    { quantity: 10 },
  );
  const { setups, proof } = planned(stem, startValues, {});

  test('the cone is cut before the rest is drawn out, each within four times what it is by then', () => {
    const firsts = setups.filter(({ setup }) => setup.end === 'front');
    const kinds = firsts.map(({ operations }) => operations.map(({ kind }) => kind));
    expect(kinds).toHaveLength(2);
    expect(kinds[0]).toContain('taper');
    expect(kinds[1]).toContain('turn-finish');
    expect(proof.faults).toEqual([]);
  });

  test('no centre is drilled into its tip', () => {
    expect(setups.flatMap(({ operations }) => operations.map(({ kind }) => kind))).not.toContain('centre');
  });
});
