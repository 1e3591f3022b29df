import { exactOrder, MOST_EXACT } from './exact';
import { improvedOrder, insertBest, judge, judgedBy, type Effort, type Judged } from './improve';
import type { Job, Order } from './job';
import {
  compareWorth,
  placeAll,
  placeOne,
  type Lathes,
  type Placed,
  type Saves,
  type Worth,
  savesBetween,
} from './place';

/** What is to be placed, and what is decided already. */
export interface Asked {
  jobs: readonly Job[];
  lathes: Lathes;
  /** Nothing begins before it. */
  now: number;
  effort: Effort;
  /** The order that stands; only what is not in it, or cannot be where it is, is placed anew. */
  keep?: Order;
  onRound?: (round: number) => void;
}

/** Runs in their places; of an order that is not proven, how much of its lateness may be saved at most. */
export interface Scheduled {
  order: Order;
  placed: Placed[];
  worth: Worth;
  proven: boolean;
  /** No order is less late than this, weighted minutes. */
  lateAtLeast: number;
  /** Runs that no lathe can make within its hours. */
  nowhere: number[];
}

/** How late runs are at least: each alone on its best lathe, set up as cheaply as it can be after another. */
function leastLate(jobs: readonly Job[], lathes: Lathes, now: number, saves: Saves): number {
  return jobs.reduce((total, job) => {
    const lates = Object.entries(lathes).flatMap(([lathe, at]) => {
      const after = [at.stands, ...jobs.map((other) => (other === job ? undefined : other.on[lathe]?.setting))];
      return after.flatMap((stands) => placeOne(job, lathe, at, now, stands, saves)?.late ?? []);
    });
    return total + (lates.length > 0 ? Math.min(...lates) : 0);
  }, 0);
}

const isSmall = (jobs: readonly Job[], lathes: Lathes): boolean =>
  jobs.length <= MOST_EXACT.jobs && Object.keys(lathes).length <= MOST_EXACT.lathes;

/** The order that stands with what is new put in where it is worth most, and without what is gone. */
function keptOrder(keep: Order, judged: Judged): Order {
  const { jobs, lathes } = judged;
  const stays = (lathe: string) => (keep[lathe] ?? []).filter((id) => jobs.get(id)?.on[lathe]);
  const kept: Order = Object.fromEntries(Object.keys(lathes).map((lathe) => [lathe, stays(lathe)]));
  const there = new Set(Object.values(kept).flat());
  return [...jobs.values()]
    .filter(({ id }) => !there.has(id))
    .reduce((order, job) => insertBest(order, job, judged), kept);
}

/**
 * The best order of runs over lathes (trade: Days): least weighted lateness, then least making ready, then material that waits least. A few runs are
 * placed exactly and that is proven, unless runs wait for others and the exact order does not have them so; many as well as some
 * rounds of a search do it, with the lateness that none can be under.
 */
export function schedule({ jobs: asked, lathes, now, effort, keep, onRound }: Asked): Scheduled {
  const saves = savesBetween();
  const fits = (job: Job) =>
    Object.entries(lathes).some(([lathe, at]) => {
      const alone = placeOne(job, lathe, at, now, undefined, saves);
      return alone !== undefined && alone.made < Infinity;
    });
  const jobs = asked.filter(fits);
  const byId = new Map(jobs.map((job) => [job.id, job]));
  const judged = judgedBy(jobs, lathes, now, saves);
  const nowhere = asked.filter((job) => !byId.has(job.id)).map(({ id }) => id);
  const exact = isSmall(jobs, lathes) ? exactOrder(jobs, lathes, now, saves) : undefined;
  const lateAtLeast = exact ? exact.worth.late : leastLate(jobs, lathes, now, saves);
  const given = (order: Order): Scheduled => {
    const placed = placeAll(order, byId, lathes, now, saves) ?? [];
    const worth = judge(order, judged);
    const proven = exact !== undefined && compareWorth(worth, exact.worth) <= 0;
    return { order, placed, worth, proven, lateAtLeast, nowhere };
  };
  if (keep) return given(keptOrder(keep, judged));
  // Taken as if none waited for another: where the order has them so all the same, none is better.
  if (exact && compareWorth(judge(exact.order, judged), exact.worth) <= 0) return given(exact.order);
  return given(improvedOrder(judged, effort, undefined, onRound).order);
}
