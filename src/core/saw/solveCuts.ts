import type { Highs } from 'highs';
import { andThen, good, refuse, type Result } from '../result';
import type { CutList, Cuts, Take } from './cutList';
import { firstFit, type Filling } from './firstFit';
import { pack, packFreely, type Packing } from './knapsack';
import { cutsOf, firstWay, listedOf, wayOf, type Bars, type CostOf, type Listed, type SawWay } from './listed';
import { masterOf, type Master, type Relaxed } from './master';
import { possible } from './possible';
import { coarser, type Units } from './units';
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
  /** For whole numbers, by the solver's own clock. */
  wholeNumberSeconds: number;
}

const LIMITS: SawLimits = { enough: () => false, wholeNumberSeconds: 0.6 };

/** Cells of the packing tables of the rounds: a coarse one as long as it finds something, then finer ones. */
const CELLS = [1500, 6000, Infinity];

/** A list as the search sees it: its units, how many bars there are, and what each costs. */
interface Search {
  units: Units;
  counts: readonly (number | null)[];
  costOf: CostOf;
}

/**
 * Adds, for each kind of bar, the filling that the linear problem misses most; false when it misses none. Filling freely
 * is tried first: when its best has no more of a length than is asked for, it is the best there is.
 */
function improve(
  master: Master,
  { worth, scarcity }: Relaxed,
  { units: { demands }, costOf }: Search,
  { rooms, up }: { rooms: number[]; up: Take[] },
): boolean {
  const largest = Math.max(...rooms);
  const free = packFreely(worth, up, largest);
  const missed = (packing: Packing, bar: number) =>
    packing.valueAt(rooms[bar] ?? 0) - (costOf(bar) - (scarcity[bar] ?? 0)) > 1e-7;
  const all = [...rooms.keys()].filter((bar) => missed(free, bar));
  if (all.length === 0) return false;
  const asked = (counts: number[]) => counts.every((count, item) => count <= (demands[item] ?? 0));
  const fillings = all.map((bar) => ({ bar, counts: free.countsAt(rooms[bar] ?? 0) }));
  const good = fillings.filter(({ counts }) => asked(counts));
  if (good.some((filling) => master.add(filling, costOf(filling.bar)))) return true;
  const packing = pack(worth, up, demands, largest);
  return all
    .filter((bar) => missed(packing, bar))
    .map((bar) => master.add({ bar, counts: packing.countsAt(rooms[bar] ?? 0) }, costOf(bar)))
    .some(Boolean);
}

/**
 * A bound that holds whatever was left out or rounded: the worths scaled down until no filling, even of pieces rounded
 * down, is worth more than its bar (Farley's bound).
 */
function boundBy({ worth, scarcity }: Relaxed, { units, counts, costOf }: Search, packing: Packing): number {
  const { demands, rooms } = units;
  let scale = 1;
  for (const [bar, room] of rooms.entries()) {
    const allowed = costOf(bar) - (scarcity[bar] ?? 0);
    const value = packing.valueAt(room);
    if (value <= allowed + 1e-7) continue;
    if (allowed <= 1e-9) return 0;
    scale = Math.max(scale, value / allowed);
  }
  const pieces = worth.reduce((total, value, item) => total + value * (demands[item] ?? 0), 0) / scale;
  return pieces + scarcity.reduce((total, value, bar) => total + value * (counts[bar] ?? 0), 0);
}

const upwards = (value: number) => Math.max(0, Math.ceil(value - 1e-6));

/**
 * Column generation until no filling is missed, or until the bound cannot rise to another whole bar.
 * @param settles what the bound is, when it is of use to stop early
 */
function generate(
  master: Master,
  search: Search,
  onRound: (value: number) => boolean,
  settles = false,
): { linear: Relaxed; bound: number; done: boolean } {
  const { units } = search;
  const largest = Math.max(...units.rooms);
  const grids = CELLS.map((cells) => coarser(units, Math.max(1, Math.ceil(largest / cells))));
  let linear = master.relax();
  let bound = 0;
  let level = 0;
  for (let goesOn = true; goesOn && level < grids.length;) {
    const finest = level === grids.length - 1;
    if (settles && finest && linear.missing < 1e-6) {
      bound = Math.max(bound, boundBy(linear, search, packFreely(linear.worth, units.down, largest)));
      if (upwards(bound) >= upwards(linear.value)) break;
    }
    if (improve(master, linear, search, grids[level] as (typeof grids)[number])) {
      linear = master.relax();
      goesOn = onRound(linear.value);
    } else level++;
  }
  // Where few of a length are asked for, filling no more than that bounds better.
  if (settles && upwards(bound) < upwards(linear.value) && linear.missing < 1e-6)
    bound = Math.max(bound, boundBy(linear, search, pack(linear.worth, units.down, units.demands, largest)));
  return { linear, bound, done: level >= grids.length };
}

/** Fewer bars opened is better, then less length opened. */
function better(a: SawWay | undefined, b: SawWay | undefined): SawWay | undefined {
  if (!a || !b) return a ?? b;
  return b.opened < a.opened || (b.opened === a.opened && b.length < a.length - 1e-6) ? b : a;
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
 * Solves a cut list: the fewest bars opened, then the least length opened, offcuts first (handbook 3). Column
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
  let rounds = 0;
  const told = (value: number): boolean => {
    onProgress({ rounds: ++rounds, bars: best?.opened ?? 0, bound: Math.max(metal, upwards(value)) });
    return !limits.enough();
  };
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

  if (!bars.alike || !meets(lowerBound)) {
    // The length opened decides between ways that open as many bars, and never outweighs a bar.
    const most = (best?.fillings.length ?? units.demands.reduce((a, b) => a + b, 0)) + 1;
    const costOf: CostOf = (bar) => opens(bar) + (0.4 * lengthOf(bar)) / bars.longest / most;
    master.price(costOf);
    const shortest = bars.alike ? linear : generate(master, { units, counts, costOf }, told).linear;
    best = better(best, wayOf(roundedDown(master, shortest, units, bars), bars));
    const whole = master.whole(limits.wholeNumberSeconds);
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
