import type { Job, Order } from './job';
import { compareWorth, NO_WORTH, placeOne, plusWorth, worthOfOne, type Lathes, type Saves, type Worth } from './place';

/** A run of some runs on one lathe: when the last is made, what it is worth, and what it went on from. */
interface Label {
  made: number;
  worth: Worth;
  last: number;
  from?: Label;
}

/** Up to so many runs are placed exactly, on up to so many lathes: all sets of them are gone through. */
export const MOST_EXACT = { jobs: 12, lathes: 3 };

/** Keeps a label unless another ends no later and is worth no less; drops those that it beats. */
function keep(labels: Label[], label: Label): void {
  for (let index = labels.length - 1; index >= 0; index--) {
    const other = labels[index] as Label;
    const better = compareWorth(other.worth, label.worth);
    if (other.made <= label.made + 1e-9 && better <= 0) return;
    if (label.made <= other.made + 1e-9 && better >= 0) labels.splice(index, 1);
  }
  labels.push(label);
}

/**
 * The best sequence of every set of runs on one lathe. What a sequence adds behind it grows with when it ends, so that one that ends
 * later and is worth no more never wins.
 */
function bestOfSets(
  jobs: readonly Job[],
  lathe: string,
  lathes: Lathes,
  now: number,
  saves: Saves,
): (Label | undefined)[] {
  const [count, at] = [jobs.length, lathes[lathe]];
  const sets = 1 << count;
  const labels: Label[][][] = Array.from({ length: sets }, () => []);
  const best: (Label | undefined)[] = Array.from({ length: sets });
  best[0] = { made: now, worth: NO_WORTH, last: -1 };
  if (!at) return best;
  const extend = (set: number, from: Label) => {
    for (let next = 0; next < count; next++) {
      if (set & (1 << next)) continue;
      const job = jobs[next] as Job;
      const stands = from.last < 0 ? at.stands : jobs[from.last]?.on[lathe]?.setting;
      const placed = placeOne(job, lathe, at, from.made, stands, saves);
      if (!placed || placed.made === Infinity) continue;
      const worth = plusWorth(from.worth, worthOfOne(placed, job));
      const into = (labels[set | (1 << next)] ??= []);
      keep((into[next] ??= []), { made: placed.made, worth, last: next, from });
    }
  };
  extend(0, best[0]);
  for (let set = 1; set < sets; set++) {
    const of = labels[set] ?? [];
    for (const ends of of) for (const label of ends ?? []) extend(set, label);
    best[set] = of
      .flatMap((ends) => ends ?? [])
      .reduce<Label | undefined>(
        (least, label) => (least && compareWorth(least.worth, label.worth) <= 0 ? least : label),
        undefined,
      );
    labels[set] = [];
  }
  return best;
}

const sequenceOf = (jobs: readonly Job[], label: Label | undefined): number[] => {
  const ids: number[] = [];
  for (let at = label; at && at.last >= 0; at = at.from) ids.unshift(jobs[at.last]?.id ?? 0);
  return ids;
};

/**
 * The best order of some runs over some lathes, each run whole on one of them, runs that wait for others taken as if they did not.
 * All sets are gone through lathe by lathe (the textbook's dynamic program over subsets), so that it is proven.
 * @returns undefined when some run fits nowhere within the hours
 */
export function exactOrder(
  jobs: readonly Job[],
  lathes: Lathes,
  now: number,
  saves: Saves,
): { order: Order; worth: Worth } | undefined {
  const names = Object.keys(lathes);
  const sets = 1 << jobs.length;
  const ofLathe = names.map((lathe) => bestOfSets(jobs, lathe, lathes, now, saves));
  /** The best of a set over the first lathes, and which part of it the last of them makes. */
  let over: ({ worth: Worth; parts: readonly number[] } | undefined)[] = Array.from({ length: sets });
  over[0] = { worth: NO_WORTH, parts: [] };
  for (const best of ofLathe) {
    const next: typeof over = Array.from({ length: sets });
    for (let set = 0; set < sets; set++)
      // Every part of the set, the empty one last.
      for (let part = set; ; part = (part - 1) & set) {
        const [own, rest] = [best[part], over[set ^ part]];
        if (own && rest) {
          const worth = plusWorth(own.worth, rest.worth);
          const least = next[set];
          if (!least || compareWorth(worth, least.worth) < 0) next[set] = { worth, parts: [...rest.parts, part] };
        }
        if (part === 0) break;
      }
    over = next;
  }
  const found = over[sets - 1];
  return (
    found && {
      worth: found.worth,
      order: Object.fromEntries(
        names.map((lathe, index) => [lathe, sequenceOf(jobs, ofLathe[index]?.[found.parts[index] ?? 0])]),
      ),
    }
  );
}
