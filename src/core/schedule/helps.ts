import { answerDays, begunFirst, EFFORT, tryOrder, TRIED, type DaysAnswer, type DaysAsked } from './answer';
import { stretchesOf, type DaysFile } from './days';
import { DAY } from './hours';
import { schedule } from './best';
import { toSchedule, type ToSchedule } from './fromRuns';
import { judgedBy, placesFor, without } from './improve';
import type { Job, Order } from './job';
import { compareWorth, savesBetween, type Lathes } from './place';
import { playWeeks, type Promised } from './play';
import { inTwoHalves } from './split';

/** Something that was tried to keep more promises: how many more of them are kept, as an average of the played weeks. */
export interface Help {
  /** What is tried, of which run and on which lathe, by their ids. */
  what:
    | { kind: 'careful' }
    | { kind: 'overtime'; minutes: number }
    | { kind: 'elsewhere' | 'halved'; run: number; lathe: string }
    | { kind: 'bought-in'; run: number };
  moreKept: number;
  /** An order that can be taken. */
  order?: Order;
}

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
          const end = index === stretches.length - 1 ? Math.min(DAY, to + days.overtime) : to;
          return `${clock(from)}-${clock(end)}`;
        })
        .join(' ');
    }),
  })),
});

/** So many promises in doubt are tried otherwise, and less gained than this is no help. */
const MOST_TRIED = 3;
const LEAST_GAIN = 0.05;

/** Promises kept, as an average of the played weeks. */
const keptOf = (promised: readonly Promised[], jobs: readonly Job[]): number =>
  promised.reduce((sum, { job, kept }) => sum + (jobs.find(({ id }) => id === job)?.due === undefined ? 0 : kept), 0);

/** An order made as if every run took so long as makes it sure; it is played as they are. */
function carefulOrder({ runs, days, machines, today, now }: DaysAsked): Order {
  const { jobs, lathes, begun } = toSchedule(runs, days, machines, today, days.sureFrom);
  return begunFirst(schedule({ jobs, lathes, now, effort: EFFORT }).order, begun);
}

/** What a shop is tried in: its runs, its lathes and an order, played as the others were. */
const keptIn = (
  { jobs, lathes, order }: { jobs: readonly Job[]; lathes: Lathes; order: Order },
  off: ToSchedule['off'],
  now: number,
): number => keptOf(playWeeks(order, new Map(jobs.map((job) => [job.id, job])), lathes, now, off, TRIED), jobs);

/** One promise in doubt tried otherwise: on each other lathe, in two halves at once, bought in. */
function otherwise(
  job: Job,
  made: ToSchedule,
  { order }: DaysAnswer,
  now: number,
): (Omit<Help, 'moreKept'> & { kept: number })[] {
  const { jobs, lathes, off, begun } = made;
  const from = Object.keys(order).find((lathe) => order[lathe]?.includes(job.id));
  if (from === undefined) return [];
  const rest = without(order, job.id);
  const others = jobs.filter(({ id }) => id !== job.id);
  const boughtIn = {
    what: { kind: 'bought-in' as const, run: job.id },
    // It is there when it is wanted.
    kept:
      1 +
      keptIn(
        {
          jobs: others.map((one) => ({ ...one, after: one.after.filter((id) => id !== job.id) })),
          lathes,
          order: rest,
        },
        off,
        now,
      ),
  };
  // What is begun stays on its lathe.
  if (begun.has(job.id)) return [boughtIn];
  const elsewhere = placesFor(rest, job, judgedBy(jobs, lathes, now, savesBetween()));
  const bestOn = (lathe: string) =>
    elsewhere.filter((place) => place.lathe === lathe).toSorted((a, b) => compareWorth(a.worth, b.worth))[0];
  const second = Object.keys(job.on).filter((lathe) => lathe !== from && lathes[lathe]);
  return [
    boughtIn,
    ...second.flatMap((lathe) => {
      const best = bestOn(lathe);
      if (!best) return [];
      const halved = inTwoHalves(job, { jobs, lathes, order }, from, lathe, best.place);
      const offOf: ToSchedule['off'] = (id, at) => off(halved.halfOf.get(id) ?? id, at);
      return [
        {
          what: { kind: 'elsewhere' as const, run: job.id, lathe },
          kept: keptIn({ jobs, lathes, order: best.order }, off, now),
          order: best.order,
        },
        { what: { kind: 'halved' as const, run: job.id, lathe }, kept: keptIn(halved, offOf, now) },
      ];
    }),
  ];
}

/**
 * What would help to keep more promises, each tried in played weeks, the most helpful first: an order with room for what takes longer,
 * overtime, and of the promises most in doubt another lathe, two halves at once on two lathes, buying in.
 */
export function helps(asked: DaysAsked, answer: DaysAnswer): Help[] {
  const { runs, days, machines, today, now } = asked;
  const made = toSchedule(runs, days, machines, today);
  const { jobs, lathes, off } = made;
  const before = keptIn({ jobs, lathes, order: answer.order }, off, now);
  const order = carefulOrder(asked);
  const careful = tryOrder(asked, order);
  const longer = answerDays({ ...asked, days: withOvertime(days) }, { weeks: TRIED.weeks });
  const doubted = answer.promised
    .filter(({ job, kept }) => kept < days.sureFrom && jobs.find(({ id }) => id === job)?.due !== undefined)
    .toSorted((a, b) => a.kept - b.kept)
    .slice(0, MOST_TRIED)
    .flatMap(({ job }) => jobs.find(({ id }) => id === job) ?? []);
  const tried = [
    ...(careful ? [{ what: { kind: 'careful' as const }, kept: keptOf(careful.promised, jobs), order }] : []),
    { what: { kind: 'overtime' as const, minutes: days.overtime }, kept: keptOf(longer.promised, jobs) },
    ...doubted.flatMap((job) => otherwise(job, made, answer, now)),
  ];
  return tried
    .map(({ kept, ...help }): Help => ({ ...help, moreKept: kept - before }))
    .filter(({ moreKept }) => moreKept > LEAST_GAIN)
    .sort((a, b) => b.moreKept - a.moreKept);
}
