import { triangular } from '../ask/promise';
import type { Setting } from '../ask/runsThatShare';
import type { Spread } from '../model/shop/shop';
import { dayAfter, daysBetween, workTimeOf, type DaysFile } from './days';
import { DAY } from './hours';
import type { Job, OnLathe, Order } from './job';
import type { Lathes } from './place';
import type { Off } from './play';

/** A run as one lathe of the shop would make it, in minutes; or why that cannot. */
export type RunOnLathe =
  | {
      lathe: string;
      /** Making all of its set-ups ready. */
      ready: number;
      /** Its pieces with their spares, the first-off, outside work of the shop's own. */
      work: number;
      /** Steps at the lathe of all its pieces together. */
      steps: number;
      setting?: Setting;
      off: { setup: Spread; pieces: Spread };
      /** Its minutes come from runs that were made. */
      learned: boolean;
      setups: { ready: number; piece: number; words: string }[];
    }
  | { lathe: string; problem: string };

/** A run that is still to be made, as a schedule is made of it. */
export interface RunToMake {
  id: number;
  number: string;
  name: string;
  quantity: number;
  customer: string;
  /** Promised for this day; '' for none. */
  due: string;
  state: string;
  /** On each lathe; undefined as long as that is being planned. */
  lathes: readonly RunOnLathe[] | undefined;
  /** Something that they were planned from has changed since, and they are being planned anew. */
  isOld?: true;
  /** The lathe that its file names. */
  machine: string;
  /** Steps at the lathe that are done. */
  done: number;
  /** Its bars are not there: so many days until they come, by the days of its material. */
  barsIn?: number;
}

/** What schedules are made of: runs as jobs, lathes with their hours. */
export interface ToSchedule {
  jobs: Job[];
  lathes: Lathes;
  /** By how much a run may be off on a lathe. */
  off: (job: number, lathe: string) => Off;
  /** The order that was taken. */
  keep: Order;
  /** Runs that are begun, by the lathe that they are on. */
  begun: ReadonlyMap<number, string>;
}

const isPlanned = (one: RunOnLathe): one is Extract<RunOnLathe, { ready: number }> => 'ready' in one;

/** What is left of a run that is begun on its lathe: it is made ready already. */
function onLathe(one: Extract<RunOnLathe, { ready: number }>, done: number, care: number): OnLathe {
  const left = one.steps > 0 ? Math.max(0, 1 - done / one.steps) : 1;
  const { setup, pieces } = one.off;
  return {
    ready: done > 0 ? 0 : one.ready * (care > 0 ? triangular(care, setup) : 1),
    work: one.work * left * (care > 0 ? triangular(care, pieces) : 1),
    ...(one.setting ? { setting: one.setting } : {}),
  };
}

/**
 * Runs and hours as they are placed (trade: Days).
 * @param today the schedule's first day, from whose midnight its minutes count
 * @param care the share of runs that take no longer than they are given here; 0 gives each its planned or learned minutes
 */
export function toSchedule(
  runs: readonly RunToMake[],
  days: DaysFile,
  machines: readonly string[],
  today: string,
  care = 0,
): ToSchedule {
  const lathes: Lathes = Object.fromEntries(
    machines.flatMap((lathe) => {
      const time = workTimeOf(lathe, days, today);
      return time.stretches.length > 0 ? [[lathe, { time }]] : [];
    }),
  );
  const begun = new Map<number, string>();
  const spreads = new Map<string, Off>();
  const jobs = runs.flatMap((run): Job[] => {
    const wish = days.runs.find((one) => one.run === run.id);
    const planned = (run.lathes ?? []).filter(isPlanned);
    const own = run.machine || planned[0]?.lathe;
    if (run.done > 0 && own !== undefined) begun.set(run.id, own);
    const pinned = begun.get(run.id) ?? wish?.lathe;
    const on = planned.filter(({ lathe }) => lathe in lathes && (pinned === undefined || lathe === pinned));
    for (const { lathe, off } of planned) spreads.set(`${run.id} ${lathe}`, off);
    if (run.lathes === undefined) return [];
    return [
      {
        id: run.id,
        on: Object.fromEntries(on.map((one) => [one.lathe, onLathe(one, run.done, care)])),
        // What is begun has its bars.
        release: Math.max(
          0,
          wish?.release === undefined ? 0 : daysBetween(today, wish.release) * DAY,
          run.done > 0 ? 0 : (run.barsIn ?? 0) * DAY,
        ),
        ...(run.due === '' ? {} : { due: (daysBetween(today, run.due) + 1) * DAY }),
        weight: wish?.weight ?? 1,
        lead: (wish?.outsideDays ?? 0) * DAY,
        after: (wish?.after ?? []).filter((id) => runs.some((other) => other.id === id)),
      },
    ];
  });
  const keep = Object.fromEntries(days.order.map(({ lathe, runs: ids }) => [lathe, ids]));
  const none: Off = { setup: { down: 0, up: 0 }, pieces: { down: 0, up: 0 } };
  return { jobs, lathes, keep, begun, off: (job, lathe) => spreads.get(`${job} ${lathe}`) ?? none };
}

/** A moment of a schedule as its day and the minutes of it. */
export const momentOf = (today: string, at: number): { day: string; minutes: number } => ({
  day: dayAfter(today, Math.floor(at / DAY)),
  minutes: Math.round(at % DAY),
});
