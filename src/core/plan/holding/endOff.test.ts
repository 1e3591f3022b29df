import { example, planned, runOf, step } from '../../testing';
import { startValues } from '../../model/shop/startValues';
import { usual } from '../skeleton';

/** A shaft of ⌀12 that is nine times as long, from blanks of ⌀16. */
const shaft = (more: object = {}) =>
  runOf(
    { material: 'free-cutting-steel', outside: [step(12, 96), step(16, 12)], ...more },
    { quantity: 12, way: 'sawn-blanks' },
  );
const endLast = { ...usual('sawn-blanks'), centred: true, endLast: true as const };

describe('an end that is left on for the centre, and goes last', () => {
  const { setups, proof, stock } = planned(shaft(), startValues, { only: [endLast] });
  const [centred, turned, back, last] = setups;
  const kinds = (index: number) => setups[index]?.operations.map(({ kind, feature }) => `${kind} ${feature}`) ?? [];

  test('four holdings, by hand: centred at 6 before the face, drawn out, turned round, and short again in front', () => {
    expect(setups.map(({ setup }) => setup.end)).toEqual(['front', 'front', 'back', 'front']);
    expect(stock.centreEnd).toBe(6);
    expect(kinds(0)).toEqual(['face face', 'centre centre-end']);
    // 2 of clearance, the allowance and the end.
    expect(centred?.setup.stickOut.value).toBeCloseTo(2 + stock.frontFacing + 6, 9);
    expect(turned?.setup).toMatchObject({ supported: true, drawnOut: true, facing: 6 });
    expect(kinds(3)).toContain('face face');
    expect(last?.setup.holding.grip).toBe('part.outside[0]');
    expect(proof.faults).toEqual([]);
  });

  test('the length is measured once, where it becomes fixed: when the end is off', () => {
    const measured = setups.map(({ operations }) =>
      operations.some(({ checks }) => checks.some(({ what }) => what === 'length over all')),
    );
    expect(measured).toEqual([false, false, false, true]);
    expect(back?.setup.behind).toBe(6);
  });
});

test('what lies at its face is made when the end is gone: edge, hole, and the point of a needle', () => {
  const drilled = shaft({
    details: [{ kind: 'chamfer', at: 0, size: 0.5 }],
    bores: [{ from: 'front', shape: 'drill', diameter: 4, depth: 10 }],
  });
  const { setups, proof } = planned(drilled, startValues, { only: [endLast] });
  expect(setups[3]?.operations.map(({ feature }) => feature)).toEqual(
    expect.arrayContaining(['face', 'part.details[0]', 'part.bores[0]']),
  );
  expect(proof.faults).toEqual([]);
});

test.each([
  ['drill', 5, ['centre', 'drill']],
  ['ream', '5 H7', ['centre', 'drill', 'ream']],
] as const)(
  'what goes right through it is made when the end is gone, and not under its centre: %s',
  (shape, diameter, kinds) => {
    const sleeve = shaft({
      outside: [step(12, 84), step(16, 12)],
      bores: [{ from: 'front', shape, diameter, depth: 'through' }],
    });
    const { setups, proof } = planned(sleeve, startValues, { only: [endLast] });
    const inHole = setups.map(({ operations }) =>
      operations.flatMap(({ kind, feature }) => (feature === 'part.bores[0]' ? [kind] : [])),
    );
    expect(inHole).toEqual([[], [], [], kinds]);
    expect(proof.faults).toEqual([]);
  },
);

test('a slender shaft with a hole in its face, and a point that bears no centre, are found a route so', () => {
  const pointed = shaft({
    outside: [{ shape: 'cone', from: 1, to: 8, length: 8 }, step(8, 40), step(12, 8)],
  });
  const { skeleton, proof, setups } = planned(pointed, startValues, {});
  expect(proof.faults).toEqual([]);
  expect(skeleton.endLast).toBe(true);
  expect(setups.at(-1)?.operations.some(({ kind }) => kind === 'taper')).toBe(true);
});

test('the wind shaft is proved', () => {
  const { proof, skeleton } = planned(example('wind-shaft'), startValues, {});
  expect(proof.faults).toEqual([]);
  expect(skeleton.endLast).toBe(true);
});

describe('an end for the centre from the bar: its first part', () => {
  // The centre would bear in the mouth of the hole, and need no end; whoever wants no mark there says so.
  const holed = {
    ...shaft({ bores: [{ from: 'front', shape: 'drill', diameter: 4, depth: 10 }] }),
    overrules: [{ leave: 'centre-end' as const }],
  };
  const asParted = { ...startValues, houseRules: { ...startValues.houseRules, nib: 'as-parted' as const } };

  test('four holdings, by hand: centred, drawn out and parted under it, turned round, short again in front', () => {
    const { stock, setups, proof, skeleton } = planned({ ...holed, way: 'from-bar' });
    // 108 long, 6 of end, 0.3 a face, a blade of 1.5.
    expect(stock.each.value).toBeCloseTo(108 + 6 + 0.3 + 0.3 + 1.5, 9);
    expect(skeleton).toMatchObject({ way: 'from-bar', endLast: true });
    expect(setups.map(({ setup }) => setup.end)).toEqual(['front', 'front', 'back', 'front']);
    expect(setups[0]?.operations.map(({ name }) => name)).toEqual(['Face the end of the bar', 'Centre the end']);
    // Of the bar as much is held as a collet is deep, not all of it.
    expect(setups[0]?.setup.holding).toMatchObject({ from: 2, to: 2 + 25 });
    expect(setups[1]?.operations.at(-1)?.kind).toBe('part-off');
    expect(setups[3]?.operations.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['face', 'drill']));
    expect(proof.faults).toEqual([]);
  });

  test('where the back stays as it is parted, it is not taken up for that: three', () => {
    const { setups, proof } = planned({ ...holed, way: 'from-bar' }, asParted);
    expect(setups.map(({ setup }) => setup.end)).toEqual(['front', 'front', 'front']);
    expect(setups.every(({ operations }) => operations.length > 0)).toBe(true);
    expect(proof.faults).toEqual([]);
  });

  test('and where the work bears it by itself the end goes in the same holding, before the piece is parted off', () => {
    const file = runOf(
      { outside: [step(12, 30), step(18, 8)] },
      { way: 'from-bar', overrules: [{ leave: 'centre-end' }] },
    );
    const { setups, stock, proof } = planned(file);
    expect(stock.centreEnd).toBe(6);
    const kinds = setups[0]?.operations.map(({ kind, feature }) => `${kind} ${feature}`) ?? [];
    expect(kinds.indexOf('face centre-end')).toBeGreaterThan(kinds.indexOf('turn-finish part.outside[0]'));
    expect(kinds.indexOf('part-off face')).toBeGreaterThan(kinds.indexOf('face centre-end'));
    expect(proof.faults).toEqual([]);
  });
});
