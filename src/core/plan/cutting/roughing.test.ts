import fc from 'fast-check';
import { cuttingForce, cuttingPower } from './force';
import { deepestWithin } from './limits';
import { fewestMinutes, type Roughing } from './roughing';
import { cuttingSpeed } from './speed';

const mild = { kc: 1500, m: 0.22 };
const feeds = [0.05, 0.08, 0.1, 0.15, 0.2];
const speeds = [100, 160, 250, 400, 630, 1000];
const free = { material: 1.5, power: 1.1, holding: 1000 };

describe('the deepest cut', () => {
  // A millimetre deep at 0.2: 1500 · 0.2^(1 − 0.22) = 427.46 N.
  const force = cuttingForce({ ...mild, feed: 0.2, depth: 1, approachAngle: 90 });

  test('by hand: 427.5 N for each mm; 1.1 kW at 120 m/min are 550 N, so 1.287 mm', () => {
    expect(force).toBeCloseTo(427.46, 2);
    expect(deepestWithin(free, force, 120)).toEqual({ limit: 'power', depth: expect.closeTo(1.287, 3) });
  });

  test('each limit in its turn', () => {
    expect(deepestWithin(free, force, 60).limit).toBe('material');
    expect(deepestWithin({ ...free, holding: 300 }, force, 60)).toEqual({
      limit: 'holding',
      depth: expect.closeTo(300 / 427.46, 3),
    });
    // 0.1 mm at 0.0005 mm/N are 200 N.
    expect(deepestWithin({ ...free, bending: { most: 0.1, perNewton: 0.0005 } }, force, 60)).toEqual({
      limit: 'bending',
      depth: expect.closeTo(200 / 427.46, 3),
    });
  });
});

const roughing = fc.record({
  perSide: fc.double({ min: 0.2, max: 9, noNaN: true }),
  diameter: fc.double({ min: 4, max: 60, noNaN: true }),
  way: fc.double({ min: 5, max: 120, noNaN: true }),
  power: fc.double({ min: 0.05, max: 2, noNaN: true }),
  holding: fc.double({ min: 40, max: 1500, noNaN: true }),
  perNewton: fc.double({ min: 1e-6, max: 1e-3, noNaN: true }),
});
const problem = ({
  perSide,
  diameter,
  way,
  power,
  holding,
  perNewton,
}: typeof roughing extends fc.Arbitrary<infer T> ? T : never): Roughing => ({
  perSide,
  diameter,
  way,
  thinnest: 0.1,
  handling: 0.12,
  speeds,
  feeds,
  material: mild,
  approachAngle: 90,
  limits: { material: 1.5, power, holding, bending: { most: 0.125, perNewton } },
});

test('no number of passes, feed and speed within the limits is quicker: every one of them tried', () => {
  fc.assert(
    fc.property(roughing, (given) => {
      const candidate = problem(given);
      const { limits, perSide, diameter, way, handling, thinnest } = candidate;
      let best = Infinity;
      for (const feed of feeds)
        for (const speed of speeds)
          for (let passes = 1; passes <= 120; passes += 1) {
            const depth = perSide / passes;
            const cut = { ...mild, feed, depth, approachAngle: 90 };
            const force = cuttingForce(cut);
            const within =
              depth <= limits.material + 1e-9 &&
              cuttingPower(cut, cuttingSpeed(speed, diameter)) <= limits.power * (1 + 1e-9) &&
              force <= limits.holding * (1 + 1e-9) &&
              force * given.perNewton <= 0.125 * (1 + 1e-9) &&
              (passes === 1 || depth >= thinnest - 1e-9);
            if (within) best = Math.min(best, passes * (way / (feed * speed) + handling));
          }
      const found = fewestMinutes(candidate);
      if (best === Infinity) expect(found === undefined || found.passes > 120).toBe(true);
      else expect(found?.minutes).toBeCloseTo(best, 6);
    }),
    { numRuns: 60 },
  );
});

test('more power is never slower', () => {
  fc.assert(
    fc.property(roughing, fc.double({ min: 1, max: 4, noNaN: true }), (given, times) => {
      const weak = fewestMinutes(problem(given));
      const strong = fewestMinutes(problem({ ...given, power: given.power * times }));
      if (weak) expect(strong?.minutes ?? Infinity).toBeLessThanOrEqual(weak.minutes + 1e-9);
    }),
  );
});

test('more depth is never fewer newtons', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 3, noNaN: true }),
      fc.double({ min: 0, max: 3, noNaN: true }),
      fc.constantFrom(...feeds),
      (depth, more, feed) => {
        const at = (deep: number) => cuttingForce({ ...mild, feed, depth: deep, approachAngle: 90 });
        expect(at(depth + more)).toBeGreaterThanOrEqual(at(depth));
      },
    ),
  );
});
