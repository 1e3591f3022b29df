import type { Highs } from 'highs';
import { andThen, good, refuse, type Result } from '../model/result';
import type { CutList, Cuts } from './cutList';
import { dive } from './dive';
import { firstFit, type Filling } from './firstFit';
import { fullBars } from './fullBars';
import { generate, upwards } from './generate';
import { better, cutsOf, firstWay, listedOf, wayOf, type Bars, type CostOf, type Listed } from './listed';
import { masterOf, type Master, type Relaxed } from './master';
import { possible } from './possible';
import type { Units } from './units';
import { withoutSearch } from './withoutSearch';

/** How far the search is. */
export interface SawProgress {
  rounds: number;
  /** Bars opened by the best way so far, and the bound. */
  bars: number;
  bound: number;
}

/** Limits of the search; the clock is the caller's. */
export interface SawLimits {
  /** Whether the bound has been looked for long enough; what is found by then still holds. */
  enough(): boolean;
  /** Whether the search for a better way is over. */
  over(): boolean;
  /** For whole numbers, by the solver's own clock: what is left of the time. */
  wholeNumberSeconds(): number;
}

const LIMITS: SawLimits = { enough: () => false, over: () => false, wholeNumberSeconds: () => 0.6 };

/** Bars packed full are packed anew so often before the columns, and at most so often after them. */
const MENDED_FIRST = 2000;
const MENDED_LAST = 20_000;

/** Shares of the time: the bound is looked for until the first, a better way until the second. */
const BOUND_UNTIL = 0.5;
const WAY_UNTIL = 0.85;

/**
 * Limits that share out some seconds by a clock.
 * @param now milliseconds
 */
export function limitsWithin(seconds: number, now: () => number): SawLimits {
  const start = now();
  const spent = () => (now() - start) / 1000 / seconds;
  return {
    enough: () => spent() > BOUND_UNTIL,
    over: () => spent() > WAY_UNTIL,
    wholeNumberSeconds: () => Math.max(0.05, (1 - spent()) * seconds * 0.8),
  };
}

/** Rounds a linear solution down and fills the rest by first fit; undefined when the bars do not do. */
function roundedDown(
  master: Master,
  { used }: Relaxed,
  units: Units,
  { there, preference }: Bars,
): Filling[] | undefined {
  const demands = [...units.demands];
  const left = [...there];
  const whole = master.fillings.flatMap((filling, index) => {
    const times = Math.floor((used[index] ?? 0) + 1e-6);
    return Array.from({ length: times }, () => filling);
  });
  for (const { bar, counts: taken } of whole) {
    left[bar] = (left[bar] ?? 0) - 1;
    taken.forEach((count, item) => (demands[item] = Math.max(0, (demands[item] ?? 0) - count)));
  }
  const rest = firstFit({ rooms: units.rooms, takes: units.up }, demands, left, preference);
  return rest.missing.some((count) => count > 0) ? undefined : [...whole, ...rest.fillings];
}

/**
 * Solves a cut list: the fewest bars opened, then the least length opened, offcuts first (trade: Stock). Column
 * generation on the linear problem gives the bound; whole numbers of its fillings, and first fit on what rounding down
 * leaves, give the way. A way that meets the bound is proven best.
 * @param highs the solver, loaded by whoever calls
 * @returns the patterns, or why the list cannot be sawn
 */
export function solveCuts(
  list: CutList,
  highs: Highs,
  onProgress: (progress: SawProgress) => void = () => undefined,
  limits: SawLimits = LIMITS,
): Result<Cuts> {
  return (
    withoutSearch(list) ??
    andThen(possible(list), () => {
      const listed = listedOf(list);
      const master = masterOf(highs, listed.units.demands, listed.bars.counts);
      try {
        return search(list, listed, master, onProgress, limits);
      } finally {
        master.dispose();
      }
    })
  );
}

function search(
  list: CutList,
  listed: Listed,
  master: Master,
  onProgress: (progress: SawProgress) => void,
  limits: SawLimits,
): Result<Cuts> {
  const { units, bars } = listed;
  const { counts, opens, lengthOf, metal } = bars;
  const { first, way } = firstWay(listed);
  let best = way;
  for (const filling of first.fillings) master.add(filling, opens(filling.bar));
  const full = fullBars(listed);
  const mend = (most: number, opened: number, over: () => boolean) => {
    for (let round = 0; full && round < most && full.many > opened && !over(); round += 1) full.mend();
    best = better(best, wayOf(full?.fillings(), bars));
  };
  mend(MENDED_FIRST, metal, limits.enough);
  for (const filling of full?.fillings() ?? []) master.add(filling, opens(filling.bar));
  let rounds = 0;
  const told = (value: number): boolean => {
    onProgress({ rounds: ++rounds, bars: best?.opened ?? 0, bound: Math.max(metal, upwards(value)) });
    return !limits.enough();
  };
  const meetsOf = (bound: number) => (opened: number) => opened <= bound;
  const meets = (bound: number) => best !== undefined && best.opened <= bound;
  const { linear, bound, done } = generate(
    master,
    { units, counts, costOf: opens },
    (value) => told(value) && !meets(metal),
    true,
  );
  if (done && linear.missing > 1e-6)
    return refuse(
      'bars',
      `are too few: even sawn without waste, about ${Math.ceil(linear.missing)} of the ${units.demands.reduce((a, b) => a + b, 0)} pieces find no bar`,
    );
  const lowerBound = Math.max(metal, upwards(bound));
  best = better(best, wayOf(roundedDown(master, linear, units, bars), bars));
  if (!meets(lowerBound))
    best = better(
      best,
      dive(master, linear, listed, () => !limits.over(), meetsOf(lowerBound)),
    );
  if (!meets(lowerBound + 1)) mend(MENDED_LAST, lowerBound, limits.over);

  if (!bars.alike || !meets(lowerBound)) {
    // The length opened decides between ways that open as many bars, and never outweighs a bar.
    const most = (best?.fillings.length ?? units.demands.reduce((a, b) => a + b, 0)) + 1;
    const costOf: CostOf = (bar) => opens(bar) + (0.4 * lengthOf(bar)) / bars.longest / most;
    master.price(costOf);
    const shortest = bars.alike ? linear : generate(master, { units, counts, costOf }, told).linear;
    best = better(best, wayOf(roundedDown(master, shortest, units, bars), bars));
    const whole = master.whole(limits.wholeNumberSeconds());
    const times = (index: number) => whole?.[index] ?? 0;
    const sawn = master.fillings.flatMap((filling, index) => Array.from({ length: times(index) }, () => filling));
    best = better(best, wayOf(whole && sawn, bars));
  }
  if (!best)
    return refuse(
      'bars',
      'are too few: no way was found to saw every piece from them; add a bar, or take a piece off the list',
    );
  return good(cutsOf(list, listed, best, lowerBound));
}
