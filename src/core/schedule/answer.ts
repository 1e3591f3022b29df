import { stretchesOf, type DaysFile } from './days';
import { DAY } from './hours';
import { schedule, type Scheduled } from './best';
import { toSchedule, type RunToMake, type ToSchedule } from './fromRuns';
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
  const job = jobs.find(({ id }) => id === run);
  return job ? placesForRush(order, job, judgedBy(jobs, lathes, now, savesBetween())) : [];
}

/** Something that was tried to keep more promises: how many more of them are kept, as an average of the played weeks. */
export interface Help {
  words: string;
  moreKept: number;
  /** An order that can be taken. */
  order?: Order;
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

/** So many of the runs take no longer than a careful order gives them. */
const CARE = 0.8;

/** Promises kept, as an average of the played weeks. */
const keptOf = ({ runs }: DaysAsked, promised: readonly Promised[]): number =>
  promised.reduce((sum, { job, kept }) => sum + (runs.find(({ id }) => id === job)?.due ? kept : 0), 0);

/** An order made as if every run took as long as four of five do; it is played as they are. */
function carefulOrder({ runs, days, machines, today, now }: DaysAsked): Order {
  const { jobs, lathes, begun } = toSchedule(runs, days, machines, today, CARE);
  return begunFirst(schedule({ jobs, lathes, now, effort: EFFORT }).order, begun);
}

/** What would help, each tried, the most helpful first: an order with room for what takes longer, two hours of overtime. */
export function helps(asked: DaysAsked, now: DaysAnswer): Help[] {
  const before = keptOf(asked, now.promised);
  const order = carefulOrder(asked);
  const careful = tryOrder(asked, order);
  const longer = answerDays({ ...asked, days: withOvertime(asked.days) });
  const tried: Help[] = [
    ...(careful
      ? [
          {
            words: 'an order with room for what takes longer',
            moreKept: keptOf(asked, careful.promised) - before,
            order,
          },
        ]
      : []),
    { words: 'two hours of overtime a day', moreKept: keptOf(asked, longer.promised) - before },
  ];
  return tried.filter(({ moreKept }) => moreKept > 0.05).sort((a, b) => b.moreKept - a.moreKept);
}
