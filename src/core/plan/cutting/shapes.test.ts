import fc from 'fast-check';
import { along, radiusOn } from '../../model/workpiece/segment';
import { errorAtEnd, halfAngle, slideFor } from './compound';
import { barBends } from './deflection';
import { stepTable } from './stepTable';
import { depthsOf, infeedAlong, threadPasses } from './threadPasses';

const rounded = (places: number) => (value: number) => Number(value.toFixed(places));

describe('reference figures (trade: Reference figures)', () => {
  test('boring bar of 8 mm steel, 32 mm out, 60 N: 0.01552 mm', () => {
    expect(barBends(60, 32, 8, 210_000)).toBeCloseTo(0.01552, 5);
  });

  test('M5 × 0.8: depth 0.4907 in 6 passes, and 0.5638 along a compound at 29.5°', () => {
    expect(depthsOf(0.6134 * 0.8, 6).map(rounded(3))).toEqual([0.2, 0.283, 0.347, 0.401, 0.448, 0.491]);
    expect(infeedAlong(0.6134 * 0.8, 29.5)).toBeCloseTo(0.5638, 4);
  });

  test('conical bore: small end 3, depth 6, included 40° has a mouth of 7.3676', () => {
    expect(halfAngle(1.5, 7.3676 / 2, 6)).toBeCloseTo(20, 3);
  });
});

describe('cones', () => {
  test('20 to 14 over 6: atan(3 / 6) = 26.565°; a cut of 3 slides 3 / sin = 6.708, the whole flank', () => {
    const half = halfAngle(7, 10, 6);
    expect(half).toBeCloseTo(26.565, 3);
    expect(slideFor(3, half)).toBeCloseTo(Math.hypot(3, 6), 9);
    // tan 26.815° − tan 26.565° = 0.00547; over 6 on both sides 0.0656.
    expect(errorAtEnd(6, half, 0.25)).toBeCloseTo(0.0656, 3);
  });
});

describe('threads', () => {
  test('every pass takes the same area, and no pass less than the least', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 300 }), fc.integer({ min: 1, max: 25 }), (hundredths, wanted) => {
        const depths = threadPasses(hundredths / 100, wanted, 0.02);
        const areas = depths.map((deep, index) => deep ** 2 - (depths[index - 1] ?? 0) ** 2);
        for (const area of areas) expect(area).toBeCloseTo(areas[0] ?? 0, 9);
        expect(depths.at(-1)).toBeCloseTo(hundredths / 100, 9);
        if (depths.length > 1) expect((depths.at(-1) ?? 0) - (depths.at(-2) ?? 0)).toBeGreaterThanOrEqual(0.02 - 1e-9);
      }),
    );
  });
});

describe('round forms by steps', () => {
  const corner = along({ z: 2, r: 8, radius: 2, hollow: false }, 0, 2);

  test('a corner of R2 leaving 0.1: π / 2 · 2 / 0.2 = 15.7, so 16 steps; each stands outside the form', () => {
    const steps = stepTable(corner, 0.1);
    expect(steps).toHaveLength(16);
    for (const { z, diameter } of steps) expect(diameter / 2).toBeGreaterThanOrEqual(radiusOn(corner, z) - 1e-9);
    expect(steps.at(-1)?.diameter).toBeCloseTo(20, 9);
  });

  test('a straight piece has none', () => {
    expect(stepTable({ z0: 0, z1: 1, r0: 1, r1: 1 }, 0.1)).toEqual([]);
  });
});
