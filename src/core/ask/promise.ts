import type { LearnedGroup } from '../lathe/learnFrom';
import { normal, seeded } from '../model/seeded';
import type { Spread, Spreads } from '../model/shop/shop';
import type { Plan } from '../plan/plan';
import type { BatchElement } from './elements';

/**
 * A factor from a triangle that rises from 1 − down to 1 and falls to 1 + up: the value of its distribution at a number
 * between 0 and 1.
 */
export function triangular(at: number, { down, up }: Spread): number {
  const whole = down + up;
  if (whole === 0) return 1;
  return at < down / whole ? 1 - down + Math.sqrt(at * whole * down) : 1 + up - Math.sqrt((1 - at) * whole * up);
}

/** How long a batch may take, minutes: half of all such batches take no longer than p50, four of five no longer than p80. */
export interface BatchRange {
  runs: number;
  seed: number;
  planned: number;
  p50: number;
  p80: number;
  least: number;
  most: number;
  /** How many came out in each of some equal classes from the least to the most. */
  classes: number[];
}

const CLASSES = 24;

/**
 * Plays a batch many times: every element is off by a factor of its own, the same for all pieces, since it is the
 * estimate that is wrong and not the piece.
 */
export function rangeOf(
  elements: readonly BatchElement[],
  spreads: Spreads,
  { runs, seed }: { runs: number; seed: number },
): BatchRange {
  const random = seeded(seed);
  const totals = Float64Array.from({ length: runs }, () => {
    let total = 0;
    for (const { kind, minutes } of elements) total += minutes * triangular(random(), spreads[kind]);
    return total;
  });
  return ranged(
    totals,
    seed,
    elements.reduce((total, { minutes }) => total + minutes, 0),
  );
}

/** What some batches took, put in order. */
function ranged(totals: Float64Array, seed: number, planned: number): BatchRange {
  const runs = totals.length;
  totals.sort();
  const share = (of: number) => totals[Math.min(runs - 1, Math.floor(of * runs))] ?? 0;
  const [least, most] = [totals[0] ?? 0, totals[runs - 1] ?? 0];
  const classes = Array.from({ length: CLASSES }, () => 0);
  for (const total of totals) {
    const place = most > least ? Math.min(CLASSES - 1, Math.floor(((total - least) / (most - least)) * CLASSES)) : 0;
    classes[place] = (classes[place] ?? 0) + 1;
  }
  return { runs, seed, planned, p50: share(0.5), p80: share(0.8), least, most, classes };
}

/**
 * Plays a batch with what was learned: each group of minutes off by one factor of its own, as sure as it is known, so that what
 * its elements have in common is not averaged away; cutting and setting up within the spreads of the shop.
 */
export function rangeOfLearned(
  { times, run }: Pick<Plan, 'times' | 'run'>,
  groups: readonly LearnedGroup[],
  { runs, seed }: { runs: number; seed: number },
): BatchRange {
  const random = seeded(seed);
  const { quantity, shop } = run;
  const pieces = quantity * (1 + shop.timeAllowance);
  const once = times.setup.value + times.firstOff.value;
  const totals = Float64Array.from({ length: runs }, () => {
    const hand = groups.reduce((total, { planned, learned: { mean, variance, between, within } }) => {
      const off = Math.sqrt(variance + between + within / quantity);
      return total + planned * Math.exp(mean + within / 2 + off * normal(random));
    }, 0);
    const cutting = times.cutting.value * triangular(random(), shop.spreads.cutting);
    return pieces * (hand + cutting) + once * triangular(random(), shop.spreads.setup);
  });
  return ranged(totals, seed, times.batch.value);
}
