import fc from 'fast-check';
import { clip, cylinder, largestRadius, lower, mirror, radiusAt, volume, widen, type Segment } from './profile';

const bar = [cylinder(0, 30, 15)];

test('volumes by hand: a cylinder, a cone, a hexagon-free frustum', () => {
  expect(volume(bar)).toBeCloseTo(Math.PI * 225 * 30, 6);
  expect(volume([{ z0: 0, z1: 9, r0: 0, r1: 3 }])).toBeCloseTo((Math.PI * 9 * 9) / 3, 6);
  expect(volume([{ z0: 0, z1: 3, r0: 1, r1: 2 }])).toBeCloseTo(Math.PI * (1 + 2 + 4), 6);
});

test('turning a spigot leaves a shoulder, and its radius there is the larger one', () => {
  const turned = lower(bar, [cylinder(0, 9, 7)]);
  expect(turned).toEqual([cylinder(0, 9, 7), cylinder(9, 30, 15)]);
  expect(radiusAt(turned, 9)).toBe(15);
  expect(radiusAt(turned, 8.9)).toBe(7);
  expect(largestRadius(turned, 0, 9)).toBe(7);
});

test('a chamfer takes the corner only: the crossing of two lines is found', () => {
  const chamfered = lower(bar, [{ z0: 0, z1: 4, r0: 13, r1: 17 }]);
  expect(chamfered).toEqual([{ z0: 0, z1: 2, r0: 13, r1: 15 }, cylinder(2, 30, 15)]);
});

test('a drill opens the bore, a cut in air changes nothing', () => {
  expect(widen([cylinder(0, 30, 0)], [cylinder(-5, 10, 3)])).toEqual([cylinder(0, 10, 3), cylinder(10, 30, 0)]);
  expect(lower(bar, [cylinder(40, 50, 1)])).toEqual(bar);
  expect(lower(bar, [cylinder(0, 30, 20)])).toEqual(bar);
});

const profiles = fc
  .array(
    fc.record({
      length: fc.integer({ min: 1, max: 20 }),
      r0: fc.integer({ min: 1, max: 20 }),
      r1: fc.integer({ min: 1, max: 20 }),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map((pieces) => {
    let z = 0;
    return pieces.map(({ length, r0, r1 }): Segment => ({ z0: z, z1: (z += length), r0, r1 }));
  });

test('laws: a cut never adds, is the same twice, and no order of cuts matters', () => {
  fc.assert(
    fc.property(profiles, profiles, profiles, (stock, a, b) => {
      const once = lower(stock, a);
      expect(volume(once)).toBeLessThanOrEqual(volume(stock) + 1e-6);
      expect(volume(lower(once, a))).toBeCloseTo(volume(once), 6);
      expect(volume(lower(once, b))).toBeCloseTo(volume(lower(lower(stock, b), a)), 6);
    }),
  );
});

test('laws: two ends of a cut profile and its mirror hold the same volume', () => {
  fc.assert(
    fc.property(profiles, fc.double({ min: 0.5, max: 20, noNaN: true }), (stock, z) => {
      const end = stock.at(-1)?.z1 ?? 0;
      expect(volume(clip(stock, 0, z)) + volume(clip(stock, z, end))).toBeCloseTo(volume(stock), 6);
      expect(volume(mirror(stock, end))).toBeCloseTo(volume(stock), 6);
    }),
  );
});
