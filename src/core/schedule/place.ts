import { keptBetween, type Setting } from '../ask/runsThatShare';
import { workedFrom, type WorkTime } from './hours';
import { startBehind } from './behind';
import type { Job, Order } from './job';

/** Lathes by their ids: when they are worked at, and how they stand now. */
export type Lathes = Readonly<Record<string, { time: WorkTime; stands?: Setting }>>;

/** A run in its place. Moments are minutes from the schedule's first midnight. */
export interface Placed {
  job: number;
  run: number;
  lathe: string;
  start: number;
  /** When it is ready for pieces, when the last is made, and when it is delivered. */
  begun: number;
  made: number;
  delivered: number;
  /** Minutes of making ready that are left when what stands from the run before is not set up again. */
  ready: number;
  /** Weighted minutes that it is too late. */
  late: number;
  /** Minutes that it is begun after the day that it is pinned to. */
  missed: number;
}

/** What an order is worth, minutes: pins that are missed, weighted lateness, making ready, how long material lies waiting. */
export interface Worth {
  missed: number;
  late: number;
  ready: number;
  waits: number;
}

/** In this order: the first that differs counts. */
const COUNTS = ['missed', 'late', 'ready', 'waits'] as const;
export const NO_WORTH: Worth = { missed: 0, late: 0, ready: 0, waits: 0 };

export const plusWorth = (a: Worth, b: Worth): Worth => ({
  missed: a.missed + b.missed,
  late: a.late + b.late,
  ready: a.ready + b.ready,
  waits: a.waits + b.waits,
});

/** Less than this is no difference, minutes. */
const SAME = 1e-6;

/** Below nought when the first is the better of two. */
export function compareWorth(a: Worth, b: Worth): number {
  for (const figure of COUNTS) {
    const [x, y] = [a[figure], b[figure]];
    // Two that can never be are equally so.
    if (x !== y && !(Math.abs(x - y) <= SAME)) return x - y;
  }
  return 0;
}

/** What of making ready is saved when one run follows another, minutes. */
export type Saves = (before: Setting | undefined, after: Setting | undefined) => number;

/** Saved making ready, remembered by the settings themselves. */
export function savesBetween(): Saves {
  const known = new Map<Setting, Map<Setting, number>>();
  return (before, after) => {
    if (!before || !after) return 0;
    const from = known.get(before) ?? new Map<Setting, number>();
    known.set(before, from);
    let saved = from.get(after);
    if (saved === undefined)
      from.set(after, (saved = keptBetween(before, after).reduce((sum, { minutes }) => sum + minutes, 0)));
    return saved;
  };
}

/** One run placed on a lathe, as early as it can be behind what stands there. @param first the part of its run that it comes behind */
export function placeOne(
  job: Job,
  lathe: string,
  { time }: Lathes[string],
  from: number,
  before: Setting | undefined,
  saves: Saves,
  first?: { placed: Placed; time: WorkTime },
): Placed | undefined {
  const on = job.on[lathe];
  if (!on) return undefined;
  const ready = Math.max(0, on.ready - saves(before, on.setting));
  const goesOn = job.behind?.goesOn;
  const behind = !first
    ? 0
    : goesOn
      ? startBehind(first, { ...goesOn, time, ready, work: on.work })
      : first.placed.start;
  const start = workedFrom(time, Math.max(from, job.release, on.from ?? 0, behind), 0);
  const begun = ready > 0 ? workedFrom(time, start, ready) : start;
  const made = workedFrom(time, start, ready + on.work);
  const delivered = made + job.lead;
  const late = job.due === undefined || delivered <= job.due ? 0 : job.weight * (delivered - job.due);
  const missed = job.beginBy === undefined ? 0 : Math.max(0, start - job.beginBy);
  return { job: job.id, run: job.run, lathe, start, begun, made, delivered, ready, late, missed };
}

/** What one run adds to the worth of an order. */
export const worthOfOne = ({ late, ready, missed, start }: Placed, { release }: Pick<Job, 'release'>): Worth => ({
  missed,
  late,
  ready,
  waits: start - release,
});

export const worthOf = (placed: readonly Placed[], jobs: ReadonlyMap<number, Job>): Worth =>
  placed.reduce((sum, one) => plusWorth(sum, worthOfOne(one, jobs.get(one.job) ?? { release: 0 })), NO_WORTH);

/**
 * Places every run of an order. A run that waits for others on other lathes waits for them.
 * @param now nothing begins before it
 * @returns undefined when the order cannot be: a run waits for one behind it, is on a lathe that cannot make it
 */
export function placeAll(
  order: Order,
  jobs: ReadonlyMap<number, Job>,
  lathes: Lathes,
  now: number,
  saves: Saves,
): Placed[] | undefined {
  const queues = Object.entries(order).map(([lathe, ids]) => ({
    lathe,
    ids,
    next: 0,
    free: now,
    stands: lathes[lathe]?.stands,
  }));
  const made = new Map<number, Placed>();
  const inOrder = new Set(Object.values(order).flat());
  const placed: Placed[] = [];
  for (let moved = true; moved;) {
    moved = false;
    for (const queue of queues) {
      for (let id = queue.ids[queue.next]; id !== undefined; id = queue.ids[queue.next]) {
        const [job, lathe] = [jobs.get(id), lathes[queue.lathe]];
        if (!job || !lathe) return undefined;
        const waitsFor = job.after.filter((other) => inOrder.has(other));
        const behind = job.behind && inOrder.has(job.behind.job) ? job.behind.job : undefined;
        if (![...waitsFor, ...(behind === undefined ? [] : [behind])].every((other) => made.has(other))) break;
        const from = Math.max(queue.free, ...waitsFor.map((other) => made.get(other)?.delivered ?? 0));
        const first = behind === undefined ? undefined : made.get(behind);
        const one = placeOne(
          job,
          queue.lathe,
          lathe,
          from,
          queue.stands,
          saves,
          first && { placed: first, time: (lathes[first.lathe] as Lathes[string]).time },
        );
        if (!one) return undefined;
        placed.push(one);
        made.set(id, one);
        queue.free = one.made;
        queue.stands = job.on[queue.lathe]?.setting;
        queue.next += 1;
        moved = true;
      }
    }
  }
  return placed.length === inOrder.size ? placed : undefined;
}
