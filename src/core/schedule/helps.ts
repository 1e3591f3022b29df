import { answerDays, begunFirst, EFFORT, tryOrder, TRIED, type DaysAnswer, type DaysAsked } from './answer';
import { clockOf, stretchesOf, wishOf, type DaysFile, type Split } from './days';
import { DAY } from './hours';
import { schedule } from './best';
import { toSchedule, type ToSchedule } from './fromRuns';
import { judgedBy, placesFor, without } from './improve';
import type { Job, Order } from './job';
import { compareWorth, savesBetween, type Lathes } from './place';
import { playWeeks, type Promised } from './play';
import { partId } from './parts';

/** Something that was tried to keep more promises: how many more of them are kept, as an average of the played weeks. */
export interface Help {
  /** What is tried, of which run and on which lathe, by their ids. */
  what:
    | { kind: 'careful' }
    | { kind: 'overtime'; minutes: number }
    | { kind: 'elsewhere' | 'halved'; run: number; lathe: string }
    /** From a set-up on it is made on another lathe, while the first is at it. */
    | { kind: 'shared'; run: number; lathe: string; second: number }
    | { kind: 'bought-in'; run: number };
  moreKept: number;
  /** An order that can be taken, and the days in which the run is split for it. */
  order?: Order;
  days?: DaysFile;
}

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
          return `${clockOf(from)}-${clockOf(end)}`;
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
  promised.reduce(
    (sum, { run, kept }) => sum + (jobs.some((job) => job.run === run && job.due !== undefined) ? kept : 0),
    0,
  );

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

type Tried = Omit<Help, 'moreKept'> & { kept: number };

/** A run split so, its second part put where it is worth most on each lathe that can make it but for its first part's. */
function split(asked: DaysAsked, { order }: DaysAnswer, run: number, from: string, at: Split): Tried[] {
  const { runs, machines, today, now } = asked;
  const wish = wishOf(asked.days, run);
  const days = { ...asked.days, runs: [...asked.days.runs.filter((one) => one !== wish), { ...wish, run, split: at }] };
  const { jobs, lathes, off } = toSchedule(runs, days, machines, today);
  const second = jobs.find(({ id }) => id === partId(run, 1));
  if (!second) return [];
  const places = placesFor(order, second, judgedBy(jobs, lathes, now, savesBetween()));
  return Object.keys(second.on)
    .filter((lathe) => lathe !== from)
    .flatMap((lathe): Tried[] => {
      const [best] = places.filter((place) => place.lathe === lathe).toSorted((a, b) => compareWorth(a.worth, b.worth));
      if (!best) return [];
      const what =
        at.at === 'setup'
          ? { kind: 'shared' as const, run, lathe, second: at.from[0] ?? 2 }
          : { kind: 'halved' as const, run, lathe };
      return [{ what, kept: keptIn({ jobs, lathes, order: best.order }, off, now), order: best.order, days }];
    });
}

/** Ways in which a run can be split: in two halves, and before each of its set-ups but the first. */
function splitsOf(asked: DaysAsked, run: number, from: string): Split[] {
  const made = asked.runs.find(({ id }) => id === run);
  const on = made?.lathes?.find(({ lathe }) => lathe === from);
  if (!made || !on || 'problem' in on) return [];
  const halves: Split[] = made.quantity > 1 ? [{ at: 'pieces', from: [Math.ceil(made.quantity / 2)] }] : [];
  return [...halves, ...on.setups.slice(1).map(({ number }): Split => ({ at: 'setup', from: [number] }))];
}

/** One promise in doubt tried otherwise: bought in, on each other lathe, in two parts at once. */
function otherwise(job: Job, made: ToSchedule, asked: DaysAsked, answer: DaysAnswer): Tried[] {
  const { jobs, lathes, off, begun } = made;
  const { order } = answer;
  const from = Object.keys(order).find((lathe) => order[lathe]?.includes(job.id));
  if (from === undefined) return [];
  const rest = without(order, job.id);
  const others = jobs
    .filter(({ id }) => id !== job.id)
    .map((one) => ({ ...one, after: one.after.filter((id) => id !== job.id) }));
  const boughtIn: Tried = {
    what: { kind: 'bought-in', run: job.run },
    // It is there when it is wanted.
    kept: 1 + keptIn({ jobs: others, lathes, order: rest }, off, asked.now),
  };
  // What is begun stays on its lathe.
  if (begun.has(job.id)) return [boughtIn];
  const elsewhere = placesFor(rest, job, judgedBy(jobs, lathes, asked.now, savesBetween()));
  return [
    boughtIn,
    ...Object.keys(job.on)
      .filter((lathe) => lathe !== from)
      .flatMap((lathe): Tried[] => {
        const [best] = elsewhere
          .filter((place) => place.lathe === lathe)
          .toSorted((a, b) => compareWorth(a.worth, b.worth));
        if (!best) return [];
        const kept = keptIn({ jobs, lathes, order: best.order }, off, asked.now);
        return [{ what: { kind: 'elsewhere', run: job.run, lathe }, kept, order: best.order }];
      }),
    ...splitsOf(asked, job.run, from).flatMap((at) => split(asked, answer, job.run, from, at)),
  ];
}

/**
 * What would help to keep more promises, each tried in played weeks, the most helpful first: an order with room for what takes longer,
 * overtime, and of the promises most in doubt another lathe, two parts at once on two lathes, buying in.
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
    .filter(({ kept }) => kept < days.sureFrom)
    .toSorted((a, b) => a.kept - b.kept)
    .flatMap(({ run }) => {
      const [only, second] = jobs.filter((job) => job.run === run);
      // What is in parts already is not split again.
      return only?.due !== undefined && second === undefined ? [only] : [];
    })
    .slice(0, MOST_TRIED);
  const tried = [
    ...(careful ? [{ what: { kind: 'careful' as const }, kept: keptOf(careful.promised, jobs), order }] : []),
    { what: { kind: 'overtime' as const, minutes: days.overtime }, kept: keptOf(longer.promised, jobs) },
    ...doubted.flatMap((job) => otherwise(job, made, asked, answer)),
  ];
  return tried
    .map(({ kept, ...help }): Help => ({ ...help, moreKept: kept - before }))
    .filter(({ moreKept }) => moreKept > LEAST_GAIN)
    .sort((a, b) => b.moreKept - a.moreKept);
}
