import { stretchesOf, type DaysFile } from './days';
import { DAY } from './hours';
import { schedule, type Scheduled } from './best';
import { toSchedule, type RunToMake, type ToSchedule } from './fromRuns';
import { judgedBy } from './improve';
import type { Job, Order } from './job';
import { compareWorth, placeAll, savesBetween, worthOf, type Placed } from './place';
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
const EFFORT = { rounds: 20, seed: 1 };
/** Where a person waits for what a move would do, fewer weeks tell it. */
const TRIED = { weeks: 1000, seed: 1 };

/** Runs that are begun come first on the lathe that they are on. */
function begunFirst(order: Order, begun: ToSchedule['begun']): Order {
  return Object.fromEntries(
    Object.entries(order).map(([lathe, ids]) => {
      const here = ids.filter((id) => begun.get(id) === lathe);
      return [lathe, [...here, ...ids.filter((id) => !here.includes(id))]];
    }),
  );
}

const played = (order: Order, { jobs, lathes, off }: ToSchedule, now: number, weeks = PLAYED) =>
  playWeeks(order, new Map(jobs.map((job) => [job.id, job])), lathes, now, off, weeks);

/** The order that was taken with what is new put in; or the best there is, with `anew`. */
export function answerDays(
  { runs, days, machines, today, now }: DaysAsked,
  { anew = false, onRound }: { anew?: boolean; onRound?: (round: number) => void } = {},
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
  return { ...found, order, placed, promised: played(order, made, now) };
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
  const job = jobs.find(({ id }) => id === run);
  return job ? placesForRush(order, job, judgedBy(jobs, lathes, now, savesBetween())) : [];
}

/** What would be tried to keep promises, and what it is worth: minutes less late. */
export interface Help {
  words: string;
  less: number;
}

/** Overtime that is tried, minutes a day. */
const OVERTIME = 120;

const clock = (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

/** Everybody stays longer on every day that they work at all. */
const withOvertime = (days: DaysFile): DaysFile => ({
  ...days,
  people: days.people.map((person) => ({
    ...person,
    hours: person.hours.map((hours) => {
      const stretches = stretchesOf(hours) ?? [];
      return stretches
        .map(({ from, to }, index) => {
          const end = index === stretches.length - 1 ? Math.min(DAY, to + OVERTIME) : to;
          return `${clock(from)}-${clock(end)}`;
        })
        .join(' ');
    }),
  })),
});

const lateOf = (jobs: readonly Job[], placed: readonly Placed[]) =>
  placed.reduce(
    (total, { job, delivered }) =>
      total + Math.max(0, delivered - (jobs.find(({ id }) => id === job)?.due ?? Infinity)),
    0,
  );

/** What would help most, each tried: the best order anew, two hours of overtime. */
export function helps(asked: DaysAsked, now: DaysAnswer): Help[] {
  const { jobs } = toSchedule(asked.runs, asked.days, asked.machines, asked.today);
  const before = lateOf(jobs, now.placed);
  const anew = answerDays(asked, { anew: true });
  const longer = answerDays({ ...asked, days: withOvertime(asked.days) });
  return [
    ...(compareWorth(anew.worth, now.worth) < 0
      ? [{ words: 'another order', less: before - lateOf(jobs, anew.placed) }]
      : []),
    { words: 'two hours of overtime a day', less: before - lateOf(jobs, longer.placed) },
  ].filter(({ less }) => less > 0);
}
