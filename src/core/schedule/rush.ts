import { judgedBy, placesFor, without, type Judged } from './improve';
import type { Job, Order } from './job';
import { compareWorth, placeAll, type Placed, type Worth } from './place';

/** A place for a run that comes in between, and what it does to the others. */
export interface RushPlace {
  order: Order;
  lathe: string;
  place: number;
  worth: Worth;
  delivered: number;
  /** Weighted minutes more that everything is late, and minutes more of making ready, than without it. */
  later: number;
  moreReady: number;
  /** Whom it makes late, or later, and by how much, minutes. */
  harmed: { job: number; by: number }[];
}

const tooLate = (placed: readonly Placed[], jobs: ReadonlyMap<number, Job>) =>
  new Map(placed.map(({ job, delivered }) => [job, Math.max(0, delivered - (jobs.get(job)?.due ?? Infinity))]));

/** So many places are offered. */
const OFFERED = 3;

/**
 * Three places for a run that is wanted at once (trade: Days): what does the others least harm, what delivers it first, and the next best that is
 * none of these. The order of the others stays.
 */
export function placesForRush(order: Order, job: Job, judged: Judged): RushPlace[] {
  const { jobs, lathes, now, saves } = judged;
  const before = without(order, job.id);
  const others = new Map([...jobs].filter(([id]) => id !== job.id));
  const was = placeAll(before, others, lathes, now, saves) ?? [];
  const lateBefore = tooLate(was, others);
  const readyBefore = was.reduce((total, { ready }) => total + ready, 0);
  const harmBefore = was.reduce((total, { late }) => total + late, 0);
  const all = new Map([...others, [job.id, job]]);
  const tried = placesFor(before, job, judgedBy([...all.values()], lathes, now, saves)).flatMap(
    ({ order: then, lathe, place, worth }): RushPlace[] => {
      const placed = placeAll(then, all, lathes, now, saves);
      const own = placed?.find((one) => one.job === job.id);
      if (!placed || !own || own.made === Infinity) return [];
      const harmed = [...tooLate(placed, others)].flatMap(([id, late]) => {
        const by = late - (lateBefore.get(id) ?? 0);
        return id !== job.id && by > 1e-6 ? [{ job: id, by }] : [];
      });
      const ready = placed.reduce((total, one) => total + one.ready, 0);
      const later = placed.reduce((total, one) => total + (one.job === job.id ? 0 : one.late), 0) - harmBefore;
      return [
        { order: then, lathe, place, worth, delivered: own.delivered, later, moreReady: ready - readyBefore, harmed },
      ];
    },
  );
  const whole = tried.toSorted((a, b) => compareWorth(a.worth, b.worth));
  const kindest = tried.toSorted((a, b) => a.later - b.later || a.delivered - b.delivered);
  const first = tried.toSorted((a, b) => a.delivered - b.delivered || a.later - b.later);
  const offered: RushPlace[] = [];
  for (const list of [[kindest[0], first[0]], whole].flat())
    if (
      list &&
      offered.length < OFFERED &&
      !offered.some((one) => one.lathe === list.lathe && one.place === list.place)
    )
      offered.push(list);
  return offered;
}
