import type { DaysFile } from './days';
import { schedule, type Scheduled } from './best';
import { toSchedule, type ToSchedule } from './fromRuns';
import type { RunToMake } from './runToMake';
import { judgedBy } from './improve';
import type { Order } from './job';
import { compareWorth, placeAll, savesBetween, worthOf } from './place';
import { playWeeks, type Promised } from './play';
import { placesForRush, type RushPlace } from './rush';

/** What a schedule is asked of: all that it is made from, and the present moment. */
export interface DaysAsked {
  runs: readonly RunToMake[];
  days: DaysFile;
  machines: readonly string[];
  /** The first day, as 2026-12-01, and minutes of it that are over. */
  today: string;
  now: number;
}

/** The runs in their places, and how sure each promise is. */
export interface DaysAnswer extends Omit<Scheduled, 'order'> {
  order: Order;
  promised: readonly Promised[];
}

/** So many weeks are played, and so many rounds are searched where nothing is proven; counted, never timed. */
const PLAYED = { weeks: 10_000, seed: 1 };
export const EFFORT = { rounds: 20, seed: 1 };
/** Where a person waits for what a move would do, fewer weeks tell it. */
export const TRIED = { weeks: 1000, seed: 1 };

/** Runs that are begun come first on the lathe that they are on. */
export function begunFirst(order: Order, begun: ToSchedule['begun']): Order {
  return Object.fromEntries(
    Object.entries(order).map(([lathe, ids]) => {
      const here = ids.filter((id) => begun.get(id) === lathe);
      return [lathe, [...here, ...ids.filter((id) => !here.includes(id))]];
    }),
  );
}

const played = (order: Order, { jobs, lathes, off }: ToSchedule, now: number, weeks = PLAYED): Promised[] =>
  weeks.weeks === 0 ? [] : playWeeks(order, new Map(jobs.map((job) => [job.id, job])), lathes, now, off, weeks);

/** The order that was taken with what is new put in; or the best there is, with `anew`. Without weeks nothing is said of promises. */
export function answerDays(
  { runs, days, machines, today, now }: DaysAsked,
  {
    anew = false,
    weeks = PLAYED.weeks,
    onRound,
  }: { anew?: boolean; weeks?: number; onRound?: (round: number) => void } = {},
): DaysAnswer {
  const made = toSchedule(runs, days, machines, today);
  const { jobs, lathes, begun } = made;
  const hasOrder = days.order.length > 0 && !anew;
  const found = schedule({
    jobs,
    lathes,
    now,
    effort: EFFORT,
    ...(hasOrder ? { keep: made.keep } : {}),
    ...(onRound ? { onRound } : {}),
  });
  const order = begunFirst(found.order, begun);
  const byId = new Map(jobs.map((job) => [job.id, job]));
  const placed = placeAll(order, byId, lathes, now, savesBetween()) ?? found.placed;
  const worth = worthOf(placed, byId);
  // What is begun is gone on with, which may be worth less than the order that was proven.
  const proven = found.proven && compareWorth(worth, found.worth) <= 0;
  return { ...found, order, placed, worth, proven, promised: played(order, made, now, { ...PLAYED, weeks }) };
}

/** What an order would do that somebody tries: places, worth, promises. */
export function tryOrder({ runs, days, machines, today, now }: DaysAsked, order: Order): DaysAnswer | undefined {
  const made = toSchedule(runs, days, machines, today);
  const jobs = new Map(made.jobs.map((job) => [job.id, job]));
  const placed = placeAll(order, jobs, made.lathes, now, savesBetween());
  if (!placed || placed.some(({ made: end }) => end === Infinity)) return undefined;
  const nowhere = made.jobs.filter(({ id }) => !placed.some(({ job }) => job === id)).map(({ id }) => id);
  const worth = worthOf(placed, jobs);
  return { order, placed, worth, proven: false, lateAtLeast: 0, nowhere, promised: played(order, made, now, TRIED) };
}

/** Places for a run that comes in between, in an order that stands. */
export function rushPlaces({ runs, days, machines, today, now }: DaysAsked, order: Order, run: number): RushPlace[] {
  const { jobs, lathes } = toSchedule(runs, days, machines, today);
  // Of a run in parts the first is put in between.
  const job = jobs.find(({ id }) => id === run);
  return job ? placesForRush(order, job, judgedBy(jobs, lathes, now, savesBetween())) : [];
}
