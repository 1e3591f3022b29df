import { firstFit, type Filling } from './firstFit';
import { CELLS, improve } from './generate';
import { better, wayOf, type Listed, type SawWay } from './listed';
import type { Master, Relaxed } from './master';
import { coarser } from './units';

/** A dive takes one of so many bars at once. */
const TAKEN_AT_ONCE = 30;

/** Rounds of generation after each fixing of a dive: the worths have moved a little, and few fillings are missed. */
const AFTER_FIXING = 1;

/**
 * Dives on the columns: the fillings that the linear problem uses most are taken for good, what is left is asked for
 * anew, and fillings that it misses then are generated again, until first fit on the rest meets the bound or nothing is
 * left. (Textbook: diving with column generation.)
 * @param meets whether so many bars opened are as few as can be
 */
export function dive(
  master: Master,
  start: Relaxed,
  { units, bars }: Listed,
  goesOn: () => boolean,
  meets: (opened: number) => boolean,
): SawWay | undefined {
  const { opens, preference } = bars;
  const left = [...units.demands];
  const there = [...bars.there];
  const counts = () => bars.counts.map((count, bar) => (count === null ? null : (there[bar] ?? 0)));
  const fixed: Filling[] = [];
  const grid = coarser(units, Math.max(1, Math.ceil(Math.max(...units.rooms) / (CELLS[0] as number))));
  let best: SawWay | undefined;
  let linear = start;
  const fix = (filling: Filling) => {
    fixed.push({ bar: filling.bar, counts: filling.counts.map((count, item) => Math.min(count, left[item] ?? 0)) });
    there[filling.bar] = (there[filling.bar] ?? 0) - 1;
    filling.counts.forEach((count, item) => (left[item] = Math.max(0, (left[item] ?? 0) - count)));
  };
  /** How often a filling still gives only what is asked for, and finds a bar. */
  const fits = ({ bar, counts: gives }: Filling) =>
    (there[bar] ?? 0) > 0 && gives.every((count, item) => count <= (left[item] ?? 0));
  while (left.some((count) => count > 0) && goesOn()) {
    const order = [...linear.used.keys()]
      .filter((index) => (linear.used[index] ?? 0) > 1e-6)
      .sort((a, b) => (linear.used[b] ?? 0) - (linear.used[a] ?? 0));
    let taken = 0;
    // The more is left, the more is taken at once; near the end each by itself.
    const atOnce = Math.max(1, Math.floor(linear.value / TAKEN_AT_ONCE));
    for (const index of order) {
      const filling = master.fillings[index] as Filling;
      const whole = Math.floor((linear.used[index] ?? 0) + 1e-6);
      if (whole === 0 && taken >= atOnce) break;
      for (let times = Math.max(1, whole); times > 0 && fits(filling); times -= 1) {
        fix(filling);
        taken += 1;
      }
    }
    if (taken === 0) {
      const filling = master.fillings[order[0] ?? -1];
      if (!filling || (there[filling.bar] ?? 0) <= 0) break;
      fix(filling);
    }
    const rest = firstFit({ rooms: units.rooms, takes: units.up }, left, there, preference);
    if (rest.missing.every((count) => count === 0)) best = better(best, wayOf([...fixed, ...rest.fillings], bars));
    if (best && meets(best.opened)) break;
    const asked = { units: { ...units, demands: left }, counts: counts(), costOf: opens };
    master.ask(left, counts());
    linear = master.relax();
    for (let round = 0; round < AFTER_FIXING && improve(master, linear, asked, grid, 6); round += 1)
      linear = master.relax();
  }
  master.ask(units.demands, bars.counts);
  return best;
}
