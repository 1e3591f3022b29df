import type { Take } from './cutList';
import type { Filling } from './firstFit';
import { pack, packFreely, type Packing } from './knapsack';
import type { CostOf } from './listed';
import type { Master, Relaxed } from './master';
import { packFew } from './packFew';
import { coarser, type Units } from './units';

/** Cells of the packing tables of the rounds: a coarse one as long as it finds something, then finer ones. */
export const CELLS = [1500, 6000, Infinity];

/** A list as the search sees it: its units, how many bars there are, and what each costs. */
export interface Search {
  units: Units;
  counts: readonly (number | null)[];
  costOf: CostOf;
}

/** Fillings looked for at once: with many lengths one is far too few, and each is quickly found. */
const AT_ONCE = 12;
const FEW_TURNS = 5;

/**
 * Adds, for each kind of bar, fillings that the linear problem misses; false when it misses none. The one that it misses
 * most comes first; then those of the lengths that are in none of them yet, so that a round covers many lengths.
 */
export function improve(
  master: Master,
  { worth, scarcity }: Relaxed,
  { units: { demands }, costOf }: Search,
  { rooms, up }: { rooms: number[]; up: Take[] },
  turns: number,
): boolean {
  const largest = Math.max(...rooms);
  const kinds = [...rooms.keys()];
  const allowed = (bar: number) => costOf(bar) - (scarcity[bar] ?? 0) + 1e-7;
  const asked = (counts: number[]) => counts.every((count, item) => count <= (demands[item] ?? 0));
  const few = kinds.map((bar) => packFew(worth, up, demands, rooms[bar] ?? 0));
  if (few.every((fillings) => fillings !== undefined)) {
    const found = few
      .flatMap((fillings, bar) => fillings.map((filling) => ({ bar, ...filling })))
      .filter(({ bar, value }) => value > allowed(bar))
      .sort((a, b) => b.value - allowed(b.bar) - (a.value - allowed(a.bar)))
      .slice(0, FEW_TURNS * turns);
    return found.map(({ bar, counts }) => master.add({ bar, counts }, costOf(bar))).some(Boolean);
  }
  // Lengths that are turned from the bar are slow to pack: few at a time are quicker there.
  const most = up.some(({ start }) => start > 0) ? 2 : turns;
  const left = [...worth];
  let added = false;
  let freely = true;
  for (let turn = 0; turn < most; turn += 1) {
    const found = (packing: Packing): Filling[] =>
      kinds
        .filter((bar) => packing.valueAt(rooms[bar] ?? 0) > allowed(bar))
        .map((bar) => ({ bar, counts: packing.countsAt(rooms[bar] ?? 0) }));
    // Filling freely is quicker: when its best has no more of a length than is asked for, it is the best there is.
    const free: Filling[] | undefined = freely ? found(packFreely(left, up, largest)) : undefined;
    if (free?.length === 0) break;
    const fit: Filling[] = free?.filter(({ counts }) => asked(counts)) ?? [];
    // Where it takes too many of a length once, it will again.
    freely = fit.length > 0;
    const fillings: Filling[] = fit.length > 0 ? fit : found(pack(left, up, demands, largest));
    const news: Filling[] = fillings.filter((filling) => master.add(filling, costOf(filling.bar)));
    if (news.length === 0) break;
    added = true;
    for (const { counts } of news) counts.forEach((count, item) => count > 0 && (left[item] = 0));
  }
  return added;
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

export const upwards = (value: number) => Math.max(0, Math.ceil(value - 1e-6));

/**
 * Column generation until no filling is missed, or until the bound cannot rise to another whole bar.
 * @param settles what the bound is, when it is of use to stop early
 */
export function generate(
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
    if (improve(master, linear, search, grids[level] as (typeof grids)[number], level === 0 ? AT_ONCE : 2)) {
      linear = master.relax();
      goesOn = onRound(linear.value);
    } else level++;
  }
  // Where few of a length are asked for, filling no more than that bounds better.
  if (settles && upwards(bound) < upwards(linear.value) && linear.missing < 1e-6)
    bound = Math.max(bound, boundBy(linear, search, pack(linear.worth, units.down, units.demands, largest)));
  return { linear, bound, done: level >= grids.length };
}
