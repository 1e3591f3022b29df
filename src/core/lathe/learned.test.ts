import { learnedFrom, learnedMinutes, robustMean, tellApart, varianceOf, type Row } from './learned';
import { observedSteps } from './observed';
import type { LatheEvent } from './events';

const HAND = { down: 0.25, up: 0.5 };

/** Numbers for simulated shops, by a generator of their own. */
function randomFrom(seed: number): { uniform: () => number; normal: () => number } {
  // Multiplied with carry, begun with a number that near seeds do not share.
  let [low, high] = [Math.imul(seed + 1, 2654435761) >>> 0 || 1, Math.imul(seed + 7, 2246822519) >>> 0 || 1];
  const uniform = () => {
    low = (36969 * (low & 0xffff) + (low >>> 16)) >>> 0;
    high = (18000 * (high & 0xffff) + (high >>> 16)) >>> 0;
    return ((((low << 16) + (high & 0xffff)) >>> 0) + 0.5) / 4294967296;
  };
  return { uniform, normal: () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform()) };
}

interface Shop {
  truth: number;
  runEffect: number;
  noise: number;
  drift?: number;
  wild?: number;
}

/** A run of a simulated shop: every piece takes the truth, times the run's own luck, times that of the piece. */
function simulated({ truth, runEffect, noise, drift = 0, wild = 0 }: Shop, pieces: number, seed: number) {
  const { uniform, normal } = randomFrom(seed);
  const luck = Math.exp(runEffect * normal());
  const rows: Row[] = [2, 3, 1.5].map((planned) => ({
    planned: { hand: planned },
    observed: Array.from(
      { length: pieces },
      (_, piece) =>
        planned * truth * luck * Math.exp(noise * normal() - (drift * piece) / pieces) * (uniform() < wild ? 8 : 1),
    ),
  }));
  return { rows, actual: luck * truth };
}
const priors = { hand: varianceOf(HAND) / 2 };
const learn = (shop: Shop, runs: number, seed = 7) =>
  learnedFrom(
    Array.from({ length: runs }, (_, run) =>
      tellApart(simulated(shop, 20, seed + 101 * run).rows, priors).get('hand'),
    ).flatMap((said) => (said ? [said] : [])),
    HAND,
  );

test('the shop’s spreads as variances: hand 0.16, cutting 0.06, setting up 0.18', () => {
  // A triangle from −d to u: (d² + u² + d·u) / 18.
  expect(Math.sqrt(varianceOf(HAND))).toBeCloseTo(0.16, 2);
  expect(Math.sqrt(varianceOf({ down: 0.1, up: 0.2 }))).toBeCloseTo(0.06, 2);
  expect(Math.sqrt(varianceOf({ down: 0.25, up: 0.6 }))).toBeCloseTo(0.18, 2);
});

test('nothing learned gives back the plan, with the shop’s range', () => {
  const learned = learnedFrom([], HAND);
  expect([learned.mean, learned.runs]).toEqual([0, 0]);
  const { expected, p90 } = learnedMinutes(100, 20, learned);
  expect(expected).toBe(100);
  // exp(1.2816 · 0.1559) = 1.221: κ² and τ² are half of the variance each.
  expect(p90).toBeCloseTo(122.1, 1);
});

test('by hand: two runs at 1.2 and 1.3, each sure to 0.05', () => {
  // κ² = τ² = 0.0121528; each weighs 1/(0.0121528 + 0.0025) = 68.246; V = 1/(82.286 + 136.493) = 0.0045708.
  const run = (factor: number) => ({ mean: Math.log(factor), variance: 0.0025, within: 0.01, pieces: 20 });
  const learned = learnedFrom([run(1.2), run(1.3)], HAND);
  expect(learned.variance).toBeCloseTo(0.0045708, 6);
  // M = V · 68.246 · (0.18232 + 0.26236) = 0.13871
  expect(learned.mean).toBeCloseTo(0.13871, 4);
  expect([learned.runs, learned.pieces]).toEqual([2, 40]);
});

test('simulated shops: the truth is recovered, also where the plan is far off, the hand gets quicker and tails are heavy', () => {
  const shop = { truth: 1.35, runEffect: 0.08, noise: 0.15 };
  const shops: Shop[] = [shop, { ...shop, truth: 0.7 }, { ...shop, drift: 0.1 }, { ...shop, wild: 0.05 }];
  for (const told of shops) {
    const { mean } = learn(told, 20);
    const middle = told.truth * Math.exp(-(told.drift ?? 0) / 2);
    expect(Math.exp(mean)).toBeGreaterThan(middle * 0.92);
    expect(Math.exp(mean)).toBeLessThan(middle * 1.08);
  }
});

test('simulated shops: of many next batches four of five lie between P10 and P90, within what chance allows', () => {
  const shop = { truth: 1.2, runEffect: 0.1, noise: 0.12 };
  let inside = 0;
  const tries = 300;
  for (let round = 0; round < tries; round += 1) {
    const { p10, p90 } = learnedMinutes(6.5 * 20, 20, learn(shop, 6, 1000 + round * 17));
    const { rows } = simulated(shop, 20, 900_001 + round * 131);
    const took = rows.flatMap(({ observed }) => observed).reduce((total, minutes) => total + minutes, 0);
    if (took >= p10 && took <= p90) inside += 1;
  }
  // 80 % of 300 is 240; three spreads of chance are 21. The prior makes ranges a little wide, not narrow.
  expect(inside).toBeGreaterThan(219);
  expect(inside).toBeLessThan(285);
});

test('one wild value does not move it', () => {
  const usual = Array.from({ length: 15 }, (_, index) => 0.1 + 0.01 * ((index * 7) % 5));
  expect(robustMean([...usual, 4]).mean).toBeCloseTo(robustMean(usual).mean, 1);
});

test('groups are told apart where steps have them in different shares; where they never differ the range stays wide', () => {
  const two = { change: varianceOf(HAND) / 2, measure: varianceOf(HAND) / 2 };
  const row = (change: number, measure: number): Row => ({
    planned: { change, measure },
    observed: Array.from({ length: 20 }, (_, piece) => (change * 1.3 + measure * 0.9) * (1 + 0.02 * ((piece % 5) - 2))),
  });
  const apart = tellApart([row(2, 0.5), row(0.5, 2), row(1, 1)], two);
  expect(Math.exp(apart.get('change')?.mean ?? 0)).toBeCloseTo(1.3, 1);
  expect(Math.exp(apart.get('measure')?.mean ?? 0)).toBeCloseTo(0.9, 1);
  const together = tellApart([row(1, 1), row(2, 2)], two);
  expect(together.get('change')?.variance ?? Infinity).toBeGreaterThan(10 * (apart.get('change')?.variance ?? 0));
});

test('steps take from the end of the one before, pauses taken off, each on its own device’s clock', () => {
  let seq = 0;
  const at = (minute: number, device = 'a') => ({
    id: `${device}${(seq += 1)}`,
    device,
    seq,
    at: new Date(Date.UTC(2026, 10, 30, 8, minute)).toISOString(),
    revision: 1,
    piece: 1,
  });
  const events: LatheEvent[] = [
    { ...at(0), kind: 'begun' },
    { ...at(3), kind: 'done', operation: 'face' },
    { ...at(5), kind: 'paused' },
    { ...at(25), kind: 'went-on' },
    // The other device is a day ahead, and was at another piece.
    { ...at(1500, 'b'), kind: 'begun' },
    { ...at(28), kind: 'done', operation: 'turn' },
    { ...at(1504, 'b'), kind: 'done', operation: 'drill' },
  ];
  expect(observedSteps(events).map(({ operation, minutes }) => [operation, minutes])).toEqual([
    ['face', 3],
    ['turn', 5],
    ['drill', 4],
  ]);
});
