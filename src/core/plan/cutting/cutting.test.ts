import { pointLength } from '../../model/workpiece/drillPoint';
import fc from 'fast-check';
import { dividePasses } from './divide';
import { cuttingForce, cuttingPower, specificForce } from './force';
import { cuttingSpeed, feedForRoughness, notAbove, passMinutes, roughnessOf, spindleSpeed } from './speed';
import { term } from '../../model/figure';

describe('reference figures (trade: Reference figures)', () => {
  test('spindle speeds', () => {
    expect(spindleSpeed(28, 10)).toBeCloseTo(891.3, 1);
    expect(spindleSpeed(75, 9.2376)).toBeCloseTo(2584.4, 1);
  });

  test('drill points of 118°, 135° and a 90° spot', () => {
    expect(pointLength(8, 118)).toBeCloseTo(2.403, 3);
    expect(pointLength(8, 135)).toBeCloseTo(1.657, 3);
    expect(pointLength(6, 90)).toBeCloseTo(3, 3);
  });

  test('three passes over 60 + 2 mm at 0.12 mm/rev and 900 rev/min', () => {
    const one = passMinutes(
      'pass',
      [term('l', 'length', 60, 'mm', 'drawing'), term('a', 'approach', 2, 'mm', 'start value')],
      0.12,
      900,
    );
    expect(3 * one.value).toBeCloseTo(1.722, 3);
    expect(one.formula).toBe('(l + a) / (f · n)');
  });

  test('force and power', () => {
    const cut = { kc: 1600, m: 0.25, feed: 0.2, depth: 2, approachAngle: 90 };
    expect(specificForce(cut)).toBeCloseTo(2392.6, 1);
    expect(cuttingForce(cut)).toBeCloseTo(957.0, 1);
    expect(cuttingPower(cut, 100)).toBeCloseTo(1.595, 3);
  });

  test('roughness of a feed, and the feed of a roughness', () => {
    expect(roughnessOf(0.1, 0.4)).toBeCloseTo(0.781, 3);
    expect(feedForRoughness(roughnessOf(0.1, 0.4), 0.4)).toBeCloseTo(0.1, 9);
  });
});

test('the machine has what it has: nearest not above, or its lowest', () => {
  expect(notAbove([65, 100, 160], 159.9)).toBe(100);
  expect(notAbove([65, 100, 160], 160)).toBe(160);
  expect(notAbove([65, 100, 160], 20)).toBe(65);
  expect(cuttingSpeed(100, 20)).toBeCloseTo(6.283, 3);
});

describe('dividing what comes off one side', () => {
  const limits = { deepest: 1.5, thinnestRough: 0.1, thinnestFinish: 0.1, finish: 0.25, equalLastTwo: false };

  test('by hand: ⌀30 to ⌀14 is 8 a side; 7.75 in six of 1.2917 and 0.25', () => {
    const division = dividePasses(8, limits);
    expect(division?.rough).toHaveLength(6);
    expect(division?.rough[0]).toBeCloseTo(7.75 / 6, 9);
    expect(division?.finish).toEqual([0.25]);
  });

  test('the last two are equal where the tolerance asks for it', () => {
    expect(dividePasses(8, { ...limits, equalLastTwo: true })?.finish).toEqual([0.125, 0.125]);
  });

  test('a rest too thin to rough goes into the finish: 0.3 is not 0.05 and 0.25', () => {
    expect(dividePasses(0.3, limits)).toEqual({ rough: [], finish: [0.3] });
  });

  test('less than the edge cuts is no cut at all', () => {
    expect(dividePasses(0.05, limits)).toBeUndefined();
  });

  test('laws: everything comes off, nothing too deep, nothing too thin, roughing passes equal', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 40, noNaN: true }),
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        fc.boolean(),
        (perSide, deepest, equalLastTwo) => {
          const division = dividePasses(perSide, { ...limits, deepest, equalLastTwo });
          const all = [...(division?.rough ?? []), ...(division?.finish ?? [])];
          expect(all.reduce((total, depth) => total + depth, 0)).toBeCloseTo(perSide, 9);
          expect(Math.max(...all)).toBeLessThanOrEqual(deepest + 1e-9);
          expect(Math.min(...all)).toBeGreaterThanOrEqual(0.1 - 1e-9);
          expect(new Set(division?.rough).size).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
});
