import fc from 'fast-check';
import type { GearTrain } from '../../model/plan/gearing';
import type { Leadscrew } from '../../model/shop/machine';
import { startValues } from '../../model/shop/startValues';
import type { ShopForRun } from '../../model/shop/shop';
import { readShop } from '../../read/readShop';
import { planned, runOf, step } from '../../testing';
import { threadBack } from '../times/threadBack';
import { errorAtMost, gearingFor, whyNotCut } from './gearing';
import { halfNutsFor } from './halfNuts';
import { oneMoreWheel } from './oneMoreWheel';
import { nearestTrain, trainsWithin, wheelsOf } from './trains';

const screw = (gears: number[], more: Partial<Leadscrew> = {}): Leadscrew => ({ pitch: 3, gears, ...more });
const only = (trains: GearTrain[]) => {
  const [train] = trains;
  if (!train) throw new Error('no train');
  return train;
};

describe('trains by hand', () => {
  test('1.5 on a leadscrew of 3: 1 to 2, by three wheels with the smallest idler, exact', () => {
    expect(only(trainsWithin({ pitch: 1.5 }, screw([20, 25, 40, 60]), 0))).toEqual({
      drivers: [20],
      driven: [40],
      idlers: [25],
      pitch: 1.5,
      error: 0,
    });
  });

  test('24 to the inch wants the wheel of 127: 25.4 / 24 / 3 = 0.352778 = 127 · 20 / 90 · 80', () => {
    const train = only(trainsWithin({ pitch: 25.4 / 24 }, screw([20, 80, 90, 127]), 1));
    expect([train.drivers.toSorted(), train.driven.toSorted()]).toEqual([
      [127, 20],
      [80, 90],
    ]);
    expect(train.error).toBeCloseTo(0, 6);
    // Without it nothing comes near; the nearest is told: 20 / 57 is 0.350877, 5388 ppm short, and the wheel that makes it exact.
    const without = screw([20, 57, 80, 90]);
    expect(trainsWithin({ pitch: 25.4 / 24 }, without, 1000)).toEqual([]);
    expect(nearestTrain({ pitch: 25.4 / 24 }, without)?.error).toBeCloseTo(1e6 * (20 / 57 / (25.4 / 72) - 1), 3);
    expect(oneMoreWheel({ pitch: 25.4 / 24 }, without, 1000, [18, 127])?.teeth).toBe(127);
  });

  test('a wheel that only comes nearer is told where none makes it exact', () => {
    // π/3 on 3: no ratio of whole teeth is exact.
    const found = oneMoreWheel({ pitch: Math.PI / 3 }, screw([20, 40, 60, 65]), 1000, [18, 127]);
    expect(Math.abs(found?.train.error ?? 1e6)).toBeLessThan(1000);
  });

  test('a left hand wants one wheel more, but where the machine has a tumbler', () => {
    const gears = [20, 25, 30, 40];
    expect(wheelsOf(only(trainsWithin({ pitch: 1.5, hand: 'left' }, screw(gears), 0)))).toHaveLength(4);
    expect(wheelsOf(only(trainsWithin({ pitch: 1.5, hand: 'left' }, screw(gears, { tumbler: true }), 0)))).toHaveLength(
      3,
    );
  });

  test('wheels that do not reach each other, or run into a shaft, are no train', () => {
    // 20 and 25 are 45 together: with 50 at least they do not mesh, and no idler is big enough.
    expect(trainsWithin({ pitch: 2.4 }, screw([20, 25], { pairs: { least: 50, most: 200, clear: 0 } }), 0)).toEqual([]);
    // 0.25 of 3 by 20 · 30 / 40 · 60: of its four ways two have 20 + 40 = 60 under 30 + 35, and all of them 65 of clearance.
    const gears = [20, 30, 40, 60];
    const near = { pitch: 0.75 };
    expect(trainsWithin(near, screw(gears, { pairs: { least: 0, most: 200, clear: 12 } }), 0)).toHaveLength(1);
    expect(trainsWithin(near, screw(gears, { pairs: { least: 0, most: 200, clear: 65 } }), 0)).toEqual([]);
  });

  test('no wheels, or one: no train', () => {
    expect(nearestTrain({ pitch: 1 }, screw([]))).toBeUndefined();
    expect(nearestTrain({ pitch: 1 }, screw([40]))).toBeUndefined();
  });
});

describe('all that can be put on', () => {
  type Wheels = readonly number[];

  /** Whether an idler, or two, of those left bring one wheel to another. */
  function bridges(
    from: number,
    to: number,
    many: number,
    left: Wheels,
    ok: (a: number, b: number) => boolean,
  ): boolean {
    if (many === 0) return ok(from, to);
    return left.some((idler, at) => ok(from, idler) && bridges(idler, to, many - 1, left.toSpliced(at, 1), ok));
  }

  /** Every ratio that four or two wheels can be put on for, tried one by one. */
  function tried({ pitch, hand }: { pitch: number; hand?: 'left' }, leadscrew: Leadscrew, within: number) {
    const { gears, pairs } = leadscrew;
    const ok = (a: number, b: number) => !pairs || (a + b >= pairs.least && a + b <= pairs.most);
    const more = hand === 'left' && !leadscrew.tumbler ? 1 : 0;
    const found = new Map<string, number>();
    const keep = (drivers: number[], driven: number[]) => {
      const cut = (leadscrew.pitch * drivers.reduce((a, b) => a * b)) / driven.reduce((a, b) => a * b);
      const error = 1e6 * (cut / pitch - 1);
      if (Math.abs(error) <= within + 1e-3)
        found.set(`${drivers.toSorted().join()}/${driven.toSorted().join()}`, error);
    };
    const others = (...used: number[]) => gears.filter((_, at) => !used.includes(at));
    gears.forEach((a, i) =>
      gears.forEach((b, j) => {
        if (i === j) return;
        if (bridges(a, b, 1 + more, others(i, j), ok)) keep([a], [b]);
        gears.forEach((c, k) =>
          gears.forEach((d, l) => {
            if (new Set([i, j, k, l]).size < 4 || !ok(c, d)) return;
            if (pairs && (a + b < c + pairs.clear || c + d < b + pairs.clear)) return;
            if (bridges(a, b, more, others(i, j, k, l), ok)) keep([a, c], [b, d]);
          }),
        );
      }),
    );
    return found;
  }

  test('no train is missed and none is made up, on 200 sets of wheels', () => {
    const wheels = fc.array(fc.constantFrom(20, 24, 25, 30, 32, 40, 45, 50, 60, 63, 80, 127), {
      minLength: 2,
      maxLength: 7,
    });
    const pairs = fc.option(
      fc.record({
        least: fc.integer({ min: 0, max: 70 }),
        most: fc.integer({ min: 80, max: 220 }),
        clear: fc.integer({ min: 0, max: 25 }),
      }),
      { nil: undefined },
    );
    const pitches = fc.constantFrom(0.5, 0.75, 1, 1.25, 1.5, 1.75, 2, 25.4 / 20, 25.4 / 24, 25.4 / 13);
    fc.assert(
      fc.property(
        wheels,
        pairs,
        pitches,
        fc.boolean(),
        fc.boolean(),
        fc.constantFrom(0, 500, 20_000, 1e6),
        (gears, quadrant, pitch, isLeft, tumbler, within) => {
          const leadscrew = screw(gears, { tumbler, ...(quadrant ? { pairs: quadrant } : {}) });
          const wanted = { pitch, ...(isLeft ? { hand: 'left' as const } : {}) };
          const trains = trainsWithin(wanted, leadscrew, within);
          const all = tried(wanted, leadscrew, within);
          expect(
            trains.map(({ drivers, driven }) => `${drivers.toSorted().join()}/${driven.toSorted().join()}`).toSorted(),
          ).toEqual([...all.keys()].toSorted());
          for (const train of trains) {
            const used = wheelsOf(train);
            for (const teeth of used)
              expect(used.filter((other) => other === teeth).length).toBeLessThanOrEqual(
                gears.filter((other) => other === teeth).length,
              );
          }
          const nearest = Math.min(...[...tried(wanted, leadscrew, 1e9).values()].map(Math.abs));
          expect(Math.abs(nearestTrain(wanted, leadscrew)?.error ?? Infinity)).toBeCloseTo(nearest, 2);
        },
      ),
      { numRuns: 200, seed: 18 },
    );
  });
});

describe('half-nuts', () => {
  const leadscrew = screw([], { dial: { wheel: 14, lines: 7 } });

  test('anywhere where the leadscrew is a whole number of pitches: 3 / 1.5 = 2', () => {
    expect(halfNutsFor(1.5, leadscrew)).toEqual({ open: 'anywhere' });
  });
  test('marks are 14 · 3 / 7 = 6 apart: three pitches of 2 at each', () => {
    expect(halfNutsFor(2, leadscrew)).toEqual({ open: 'at-marks', every: 1, same: false, apart: 6 });
  });
  test('a turn of the dial is 42: 24 pitches of 1.75, and no mark before', () => {
    expect(halfNutsFor(1.75, leadscrew)).toEqual({ open: 'at-marks', every: 7, same: true, apart: 42 });
  });
  test('1.25 is in none of them, an inch thread neither, and without a dial nothing is but anywhere', () => {
    expect(halfNutsFor(1.25, leadscrew)).toEqual({ open: 'never' });
    expect(halfNutsFor(25.4 / 20, leadscrew)).toEqual({ open: 'never' });
    expect(halfNutsFor(2, screw([]))).toEqual({ open: 'never' });
  });
});

describe('a thread on a machine', () => {
  const [lathe] = startValues.machines;
  const shopWith = (leadscrew: Leadscrew) =>
    ({ ...startValues, machine: { ...lathe, leadscrew } }) as unknown as ShopForRun;

  test('0.02 over its length: 1000 ppm up to 20 long, 333 over 60', () => {
    expect(errorAtMost({ length: 15 }, startValues.cutting)).toBe(1000);
    expect(errorAtMost({ length: 60 }, startValues.cutting)).toBeCloseTo(333.3, 1);
  });

  test('a gearbox that has the pitch wants no wheels; one that has not, does', () => {
    const box = [{ pitch: 1.5, levers: 'B 4' }];
    const shop = shopWith(screw([20, 40, 60], { box }));
    expect(gearingFor({ pitch: 1.5, length: 10 }, shop)).toMatchObject({
      levers: 'B 4',
      error: 0,
      nuts: { open: 'anywhere' },
    });
    expect(gearingFor({ pitch: 1, length: 10 }, shop)).toMatchObject({ train: { drivers: [20], driven: [60] } });
    // 1.1 of 3 is 11 / 30: 22 over 60 with one wheel more, which is then to get.
    expect(gearingFor({ pitch: 1.1, length: 10 }, shop)).toMatchObject({
      train: { drivers: [22], driven: [60] },
      toGet: 22,
    });
    expect(whyNotCut({ pitch: 1.1, length: 10 }, shop)).toBeUndefined();
    expect(whyNotCut({ pitch: 40, length: 10 }, shop)).toContain('the nearest is 60 / 20, −775000 ppm');
    expect(whyNotCut({ pitch: 1, length: 10 }, shopWith(screw([])))).toContain('has no two wheels');
  });

  test('back to its start: at the mark, with the spindle, by hand', () => {
    const minutes = (value: number) => ({ minutes: { value } });
    const cut = { passes: [minutes(0.1), minutes(0.1)], speed: { value: 100 } } as unknown as Parameters<
      typeof threadBack
    >[0];
    const driven = (nuts: ReturnType<typeof halfNutsFor>) => ({
      ...cut,
      gearing: { pitch: 2, error: 0, over: 0, nuts },
    });
    const hand = { ...startValues.handMinutes, halfNut: 0.05, tapTurn: 0.02 };
    // Twice 0.05, and half of 6 mm at 100 · 2 mm a minute: 0.015 each.
    expect(threadBack(driven({ open: 'at-marks', every: 1, same: false, apart: 6 }), hand, {})[0]?.minutes).toBeCloseTo(
      0.13,
      9,
    );
    expect(threadBack(driven({ open: 'anywhere' }), hand, {})[0]?.minutes).toBeCloseTo(0.1, 9);
    expect(threadBack(driven({ open: 'never' }), hand, {})[0]?.minutes).toBeCloseTo(0.2, 9);
    // 0.2 min at 100 rev/min are 20 turns.
    expect(threadBack(driven({ open: 'never' }), hand, { runsBack: false })[0]?.minutes).toBeCloseTo(0.4, 9);
    expect(threadBack(cut, hand, {})).toEqual([]);
  });
});

describe('wrong entries', () => {
  const [lathe] = startValues.machines;
  const withGears = (gears: number[]) =>
    readShop({ ...startValues, machines: [{ ...lathe, leadscrew: { pitch: 3, gears } }] });

  test('a wheel of no teeth, or of half ones, is refused where it stands; one twice is two', () => {
    for (const gears of [
      [40, 0],
      [40, 20.5],
    ])
      expect(withGears(gears)).toMatchObject({ ok: false, problems: [{ path: 'machines[0].leadscrew.gears[1]' }] });
    expect(withGears([40, 40]).ok).toBe(true);
  });

  test('a thread that no wheels cut is told with the reason, and the rest is planned', () => {
    const run = runOf(
      {
        outside: [step(20, 30), step(30, 8)],
        details: [
          { kind: 'groove', at: 24, width: 6, bottom: 16 },
          { kind: 'thread', at: 0, length: 24, designation: 'M20x1.5' },
        ],
      },
      { machine: { ...lathe, leadscrew: { pitch: 3, gears: [] } } as never },
    );
    const { doubts } = planned(run, startValues, {});
    expect(doubts.map(({ path, because }) => [path, because])).toContainEqual([
      'part.details[1]',
      expect.stringContaining('has no two wheels that can be put on'),
    ]);
  });
});
