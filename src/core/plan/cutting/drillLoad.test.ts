import fc from 'fast-check';
import type { RunFile } from '../../read/runFile';
import { startValues } from '../../model/shop/startValues';
import { operationsOf, runOf, step } from '../../testing';
import { drillThrust, drillTorque, tapBreaksAt, tapTorque } from './drillLoad';

describe('a twist drill', () => {
  test('by hand: k 2000, ⌀10 at 0.2: 2000 · 0.2 · 100 / 8000 = 5 N·m; opened from 6, 64 of the 100 are left: 3.2', () => {
    expect(drillTorque(2000, 0.2, 10)).toBeCloseTo(5, 9);
    expect(drillTorque(2000, 0.2, 10, 6)).toBeCloseTo(3.2, 9);
    // 0.5 · 2000 · 0.2 · 10 / 2 · sin 59° = 857.2 N.
    expect(drillThrust(2000, 0.2, 10, (59 * Math.PI) / 180)).toBeCloseTo(857.2, 1);
  });

  test('wider or fed harder never turns lighter, and a pilot never makes it heavier', () => {
    const size = fc.double({ min: 1, max: 40, noNaN: true });
    const times = fc.double({ min: 1, max: 3, noNaN: true });
    fc.assert(
      fc.property(size, times, fc.double({ min: 0.01, max: 0.5, noNaN: true }), (diameter, more, feed) => {
        expect(drillTorque(2000, feed, diameter * more)).toBeGreaterThanOrEqual(drillTorque(2000, feed, diameter));
        expect(drillTorque(2000, feed * more, diameter)).toBeGreaterThanOrEqual(drillTorque(2000, feed, diameter));
        expect(drillTorque(2000, feed, diameter, diameter / (more + 1))).toBeLessThan(
          drillTorque(2000, feed, diameter),
        );
      }),
    );
  });

  const holed = (diameter: number, material: string, more: Partial<RunFile> = {}) =>
    runOf(
      { material, outside: [step(30, 30)], bores: [{ from: 'front', shape: 'drill', diameter, depth: 20 }] },
      { way: 'from-bar', ...more },
    );
  const drills = (file: RunFile) => operationsOf(file).filter(({ kind }) => kind === 'drill');

  test('its plan says torque, thrust and power, each of the material at the chip of a lip', () => {
    const [found] = drills(holed(8, 'mild-steel'));
    const feed = found?.feed.value ?? 0;
    // kc1.1 1500, m 0.22, a chip of half the feed under 59°.
    const k = 1500 * ((feed / 2) * Math.sin((59 * Math.PI) / 180)) ** -0.22;
    const { torque, power } = found?.passes[0]?.load ?? {};
    expect(torque?.value).toBeCloseTo((k * feed * 64) / 8000, 6);
    expect(power?.value).toBeCloseTo(((torque?.value ?? 0) * (found?.speed.value ?? 0)) / 9550, 6);
  });

  test('after a pilot the large drill has less to turn', () => {
    const file = holed(16, 'mild-steel');
    const [pilot, main] = drills(file);
    expect(pilot?.key).toContain('pilot');
    const alone = drills({ ...file, rules: { pilot: 'never' } })[0];
    // Without it, it is fed less for what holds the work.
    const perFeed = (each: typeof main) => (each?.passes[0]?.load?.torque?.value ?? 0) / (each?.feed.value ?? 1);
    expect(perFeed(main)).toBeLessThan(perFeed(alone));
    expect(main?.feed.value ?? 0).toBeGreaterThan(alone?.feed.value ?? 0);
  });
});

describe('a tap', () => {
  test('by hand: M6 at k 2500 takes 2500 · 1 · 6 / 8000 = 1.875; a core of 3 at 600 breaks at 3.18', () => {
    expect(tapTorque(2500, 1, 6)).toBeCloseTo(1.875, 9);
    // π · 600 · 27 / 16000.
    expect(tapBreaksAt(6, 0.5, 600)).toBeCloseTo(3.181, 3);
  });

  const tapped = (material: string) =>
    operationsOf(
      runOf(
        {
          material,
          outside: [step(16, 20)],
          bores: [{ from: 'front', shape: 'tap', designation: 'M6', depth: 8 }],
        },
        { way: 'from-bar' },
      ),
    )
      .filter(({ kind }) => kind.endsWith('tap'))
      .flatMap(({ warnings }) => warnings.filter((warning) => warning.startsWith('The tap takes')));

  test('in stainless it comes near to breaking, and is told with what helps; in brass it does not', () => {
    expect(tapped('brass-cw614n')).toEqual([]);
    const [told] = tapped('stainless-304');
    expect(told).toContain('breaks at 3.18');
    expect(startValues.cutting.tapNear).toBeLessThan(1);
  });
});
