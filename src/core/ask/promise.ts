import type { Spread, Spreads } from '../model/shop/shop';
import type { BatchElement } from './elements';

/** Numbers between 0 and 1 that come out the same for the same seed (a small textbook generator). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

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
  const totals = new Float64Array(runs);
  for (let index = 0; index < runs; index += 1) {
    let total = 0;
    for (const { kind, minutes } of elements) total += minutes * triangular(random(), spreads[kind]);
    totals[index] = total;
  }
  totals.sort();
  const share = (of: number) => totals[Math.min(runs - 1, Math.floor(of * runs))] ?? 0;
  const [least, most] = [totals[0] ?? 0, totals[runs - 1] ?? 0];
  const classes = Array.from({ length: CLASSES }, () => 0);
  for (const total of totals) {
    const place = most > least ? Math.min(CLASSES - 1, Math.floor(((total - least) / (most - least)) * CLASSES)) : 0;
    classes[place] = (classes[place] ?? 0) + 1;
  }
  const planned = elements.reduce((total, { minutes }) => total + minutes, 0);
  return { runs, seed, planned, p50: share(0.5), p80: share(0.8), least, most, classes };
}
