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
