import type { Spread } from '../model/shop/shop';

/** What is learned of the minutes of one group: how much longer they take than planned, how sure that is, and from what. */
export interface Learned {
  /** The factor on planned minutes, as a logarithm: its mean and variance. */
  mean: number;
  variance: number;
  /** Variance between runs, and between pieces of one. */
  between: number;
  within: number;
  runs: number;
  pieces: number;
}

/** What one run says of one group: the logarithm of actual over planned, and how sure it is. */
export interface RunSays {
  mean: number;
  /** Variance of that mean by what the run itself shows. */
  variance: number;
  /** Variance between its pieces. */
  within: number;
  pieces: number;
}

/** One operation, or another step of a piece, over a run: what it took, and its planned minutes by group. */
export interface Row {
  /** Minutes of each piece, what power feed takes taken off. */
  observed: readonly number[];
  planned: Readonly<Record<string, number>>;
}

const square = (value: number): number => value * value;

/** The middle of some values; of an even number the mean of the two. */
export const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 ? (sorted[middle] ?? 0) : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
};

/** 1.4826 makes the median of absolute deviations the spread of a normal distribution; Huber's bound is the usual one. */
const MAD_TO_SPREAD = 1.4826;
const HUBER = 1.345;
/** A spread of nothing is not believed: so few pieces may be alike by chance. */
const LEAST_SPREAD = 0.02;

/** Mean and spread in which one wild value counts little: Huber's weights about the median, the spread by deviations from it. */
export function robustMean(values: readonly number[]): { mean: number; spread: number } {
  const middle = median(values);
  const spread = Math.max(LEAST_SPREAD, MAD_TO_SPREAD * median(values.map((value) => Math.abs(value - middle))));
  let mean = middle;
  for (let round = 0; round < 20; round += 1) {
    const weights = values.map((value) => Math.min(1, (HUBER * spread) / Math.max(1e-12, Math.abs(value - mean))));
    const total = weights.reduce((sum, weight) => sum + weight, 0);
    const next = values.reduce((sum, value, index) => sum + value * (weights[index] ?? 0), 0) / total;
    if (Math.abs(next - mean) < 1e-9) break;
    mean = next;
  }
  return { mean, spread };
}

/** The variance that a spread of the shop stands for: of a triangle that reaches so far down and up. */
export const varianceOf = ({ down, up }: Spread): number => (square(down) + square(up) + down * up) / 18;

/** Solves a small symmetric system, and its inverse with it (Gauss–Jordan). */
function inverted(matrix: readonly (readonly number[])[]): number[][] {
  const size = matrix.length;
  const rows = matrix.map((row, index) => [...row, ...row.map((_, column) => (column === index ? 1 : 0))]);
  for (let at = 0; at < size; at += 1) {
    const best = rows
      .slice(at)
      .reduce((most, row, index) => (Math.abs(row[at] ?? 0) > Math.abs(rows[most]?.[at] ?? 0) ? at + index : most), at);
    [rows[at], rows[best]] = [rows[best] as number[], rows[at] as number[]];
    const pivot = rows[at] as number[];
    const by = pivot[at] as number;
    for (let column = 0; column < 2 * size; column += 1) pivot[column] = (pivot[column] as number) / by;
    for (const [index, row] of rows.entries()) {
      const factor = row[at] as number;
      if (index === at || factor === 0) continue;
      for (let column = 0; column < 2 * size; column += 1)
        row[column] = (row[column] as number) - factor * (pivot[column] as number);
    }
  }
  return rows.map((row) => row.slice(size));
}

/**
 * Tells the groups of one run apart by least squares over its steps: each step took the sum of its groups' minutes, each times the
 * group's factor. The prior keeps a group at its plan as far as the mix of steps cannot tell it (trade: At the lathe).
 * @param priors variance of each group's factor before anything is known
 */
export function tellApart(rows: readonly Row[], priors: Readonly<Record<string, number>>): Map<string, RunSays> {
  const groups = Object.keys(priors).filter((group) => rows.some(({ planned }) => (planned[group] ?? 0) > 0));
  const told = rows
    .filter(({ observed }) => observed.length > 0)
    .map(({ observed, planned }) => {
      const all = groups.reduce((total, group) => total + (planned[group] ?? 0), 0);
      const { mean, spread } = robustMean(observed.map((minutes) => Math.log(minutes / all)));
      return { minutes: all * Math.exp(mean), all, spread, count: observed.length, planned };
    })
    .filter(({ all }) => all > 0);
  if (told.length === 0) return new Map();
  const of = (planned: Row['planned'], group: string | undefined) => (group === undefined ? 0 : (planned[group] ?? 0));
  const normal = groups.map((a) =>
    groups.map((b) =>
      told.reduce(
        (total, { planned, minutes, spread, count }) =>
          total + (of(planned, a) * of(planned, b) * count) / square(minutes * spread),
        a === b ? 1 / (priors[a] ?? 1) : 0,
      ),
    ),
  );
  const right = groups.map((group) =>
    told.reduce(
      (total, { planned, minutes, spread, count }) =>
        total + (of(planned, group) * minutes * count) / square(minutes * spread),
      1 / (priors[group] ?? 1),
    ),
  );
  const inverse = inverted(normal);
  const pieces = Math.max(...told.map(({ count }) => count));
  return new Map(
    groups.flatMap((group, at): [string, RunSays][] => {
      const factor = groups.reduce((total, _, other) => total + (inverse[at]?.[other] ?? 0) * (right[other] ?? 0), 0);
      const after = inverse[at]?.[at] ?? 0;
      const prior = priors[group] ?? 1;
      // What the run alone says: the prior, which was put in, is taken out again.
      const own = 1 / after - 1 / prior;
      if (own <= 1e-9 || factor <= 0) return [];
      const alone = (factor / after - 1 / prior) / own;
      if (alone <= 0) return [];
      const spreads = told.filter(({ planned }) => of(planned, group) > 0);
      const within = spreads.reduce((total, { spread }) => total + square(spread), 0) / spreads.length;
      return [[group, { mean: Math.log(alone), variance: 1 / own / square(alone), within, pieces }]];
    }),
  );
}

/** Of how many runs the variance between them is learned. */
const RUNS_TO_LEARN_BETWEEN = 5;

/**
 * What several runs say of one group together (trade: At the lathe): each by how sure it is, drawn to the plan as far as little is
 * known. No run at all leaves the plan as it is.
 * @param spread how far the shop takes such minutes to be off
 */
export function learnedFrom(runs: readonly RunSays[], spread: Spread): Learned {
  const half = varianceOf(spread) / 2;
  const between = runs.length >= RUNS_TO_LEARN_BETWEEN ? betweenRuns(runs, half) : half;
  const precision = runs.reduce((total, { variance }) => total + 1 / (between + variance), 1 / half);
  const sum = runs.reduce((total, { mean, variance }) => total + mean / (between + variance), 0);
  const pieces = runs.reduce((total, run) => total + run.pieces, 0);
  const within = pieces > 0 ? runs.reduce((total, run) => total + run.within * run.pieces, 0) / pieces : 0;
  return { mean: sum / precision, variance: 1 / precision, between, within, runs: runs.length, pieces };
}

/** What is left of the variance of the runs' means when what each is unsure of is taken off; the prior counts as one run. */
function betweenRuns(runs: readonly RunSays[], prior: number): number {
  const mean = runs.reduce((total, run) => total + run.mean, 0) / runs.length;
  const all = runs.reduce((total, run) => total + square(run.mean - mean), 0) / (runs.length - 1);
  const own = runs.reduce((total, { variance }) => total + variance, 0) / runs.length;
  return Math.max(square(LEAST_SPREAD), (prior + runs.length * Math.max(0, all - own)) / (runs.length + 1));
}

/** Minutes of a batch as they are learned: what to expect, and between what four of five batches lie. */
export interface LearnedMinutes {
  expected: number;
  p10: number;
  p90: number;
}

/** Of a normal distribution a tenth lies beyond so many spreads. */
const TENTH = 1.2816;

/** Planned minutes of a batch with what was learned of their group. */
export function learnedMinutes(planned: number, pieces: number, learned: Learned): LearnedMinutes {
  const { mean, variance, between, within } = learned;
  const expected = planned * Math.exp(mean + within / 2);
  const off = Math.exp(TENTH * Math.sqrt(variance + between + within / Math.max(1, pieces)));
  return { expected, p10: expected / off, p90: expected * off };
}
