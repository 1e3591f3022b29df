import { triangular } from '../ask/promise';
import { dayAfter, daysBetween, wishOf, workTimeOf, type DaysFile, type RunWish } from './days';
import { DAY } from './hours';
import type { Job, OnLathe, Order } from './job';
import { canSplit, finishes, latheOf, leftOf, madeBefore, partId, partOn, partsOf, type Part } from './parts';
import type { Lathes } from './place';
import type { Off } from './play';
import { isBegun, isPlanned, type MadeOn, type RunToMake } from './runToMake';

/** What schedules are made of: runs as jobs, lathes with their hours. */
export interface ToSchedule {
  jobs: Job[];
  lathes: Lathes;
  /** By how much a run may be off on a lathe. */
  off: (run: number, lathe: string) => Off;
  /** The order that was taken. */
  keep: Order;
  /** Runs and parts that are begun, by the lathe that they are on. */
  begun: ReadonlyMap<number, string>;
}

/** The lathe that a run is meant for: decided, named in its file, or the first that can make it. */
const ownLathe = ({ machine, lathes = [] }: RunToMake, wish?: RunWish): string | undefined =>
  wish?.lathe ?? (machine || lathes.find(isPlanned)?.lathe);

const onOwn = (run: RunToMake, wish?: RunWish): MadeOn | undefined =>
  (run.lathes ?? []).filter(isPlanned).find(({ lathe }) => lathe === ownLathe(run, wish));

/** The parts in which a run is placed, as it is decided; in one go where it cannot be split so. */
export function partsToMake(run: RunToMake, days: DaysFile): Part[] {
  const wish = wishOf(days, run.id);
  const { split } = wish ?? {};
  return partsOf(run.id, split && canSplit(split, run.quantity, onOwn(run, wish)) ? split : undefined);
}

/** What of a run an order names: the run and which part of it. */
export function partNamed(
  id: number,
  runs: readonly RunToMake[],
  days: DaysFile,
): { run: RunToMake; part: Part } | undefined {
  for (const run of runs) for (const part of partsToMake(run, days)) if (part.id === id) return { run, part };
  return undefined;
}

/** Whether anything of a part is done, as far as its steps on a lathe tell. */
const isPartBegun = (part: Part, on: MadeOn | undefined, run: RunToMake): boolean =>
  !part.split || !on ? isBegun(run) : leftOf(part, on, run.quantity, run.done) < 1;

/** What is left of a part on a lathe: one that is begun is made ready already. */
function onLathe(part: Part, one: MadeOn, run: RunToMake, gotIn: number, care: number): OnLathe {
  const { done, quantity } = run;
  const left = leftOf(part, one, quantity, done);
  const { off, ready, work, setting, toGet } = partOn(part, one, quantity);
  return {
    ...(toGet.length > 0 && !isBegun(run) ? { from: gotIn * DAY } : {}),
    ready: isPartBegun(part, one, run) ? 0 : ready * (care > 0 ? triangular(care, off.setup) : 1),
    work: work * left * (care > 0 ? triangular(care, off.pieces) : 1),
    ...(setting ? { setting } : {}),
  };
}

/** Lathes that can make a part: of a run that is split before set-ups those on which the same is made until each of them. */
function lathesFor({ split }: Part, run: RunToMake, own: MadeOn | undefined): MadeOn[] {
  const planned = (run.lathes ?? []).filter(isPlanned);
  if (split?.at !== 'setup' || !own) return planned;
  return planned.filter(
    (one) =>
      canSplit(split, run.quantity, one) &&
      split.from.every((setup) => madeBefore(one, setup) === madeBefore(own, setup)),
  );
}

/** Where a part is being made, if it is begun: the first where its run is meant to be, the others where the order has them. */
function begunOn(part: Part, run: RunToMake, own: MadeOn | undefined, order: DaysFile['order']): string | undefined {
  if (!isPartBegun(part, own, run)) return undefined;
  const inOrder = order.find(({ runs }) => runs.includes(part.id))?.lathe;
  return part.index > 0 ? (inOrder ?? own?.lathe) : run.machine || own?.lathe;
}

/** When a part may begin, when it is wanted, and what it waits for. */
function datesOf(part: Part, run: RunToMake, days: DaysFile, today: string, own: MadeOn | undefined) {
  const { release, day, after = [], outsideDays = 0 } = wishOf(days, run.id) ?? {};
  const at = (date: string | undefined) => (date === undefined ? 0 : daysBetween(today, date) * DAY);
  const bySetup = part.split?.at === 'setup';
  const isFinished = finishes(part);
  const bars = isBegun(run) ? 0 : (run.barsIn ?? 0) * DAY;
  const onDay = part.index > 0 || isBegun(run) ? undefined : day;
  return {
    release: Math.max(0, at(release), at(onDay), bars),
    ...(onDay === undefined ? {} : { beginBy: at(onDay) + DAY }),
    ...(run.due === '' || !isFinished ? {} : { due: at(run.due) + DAY }),
    lead: isFinished ? outsideDays * DAY : 0,
    after: bySetup && part.index > 0 ? [] : after,
    ...(part.index > 0
      ? {
          behind: {
            job: partId(run.id, part.index - 1),
            ...(bySetup ? { goesOn: { pieces: own?.pieces ?? run.quantity, between: days.between } } : {}),
          },
        }
      : {}),
  };
}

/** A run, or a part of one, as it is placed. @returns it, and the lathe that it is begun on */
function jobOf(part: Part, run: RunToMake, days: DaysFile, lathes: Lathes, today: string, care: number) {
  const wish = wishOf(days, run.id);
  const own = onOwn(run, wish);
  const begun = begunOn(part, run, own, days.order);
  const pinned = begun ?? (part.index > 0 ? latheOf(part) : wish?.lathe);
  const on = lathesFor(part, run, own).filter(
    ({ lathe }) => lathe in lathes && (pinned === undefined || lathe === pinned),
  );
  // Whoever said from when on it can be begun knows when what is to be got is there.
  const gotIn = wish?.release === undefined ? days.toolDays : 0;
  // Half of the pieces too late is half as bad.
  const share = part.split?.at === 'pieces' && own ? partOn(part, own, run.quantity).pieces / own.pieces : 1;
  const job: Job = {
    id: part.id,
    run: run.id,
    on: Object.fromEntries(on.map((one) => [one.lathe, onLathe(part, one, run, gotIn, care)])),
    weight: (wish?.weight ?? 1) * share,
    ...datesOf(part, run, days, today, own),
  };
  return { job, begun };
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
  const made = runs
    .filter(({ lathes: planned }) => planned !== undefined)
    .flatMap((run) => partsToMake(run, days).map((part) => jobOf(part, run, days, lathes, today, care)));
  // Whoever waits for a run waits for all of its parts, and for what is not planned yet all the same.
  const partsToWaitFor = (run: number): number[] => {
    const parts = made.filter(({ job }) => job.run === run).map(({ job }) => job.id);
    return parts.length > 0 ? parts : runs.some(({ id }) => id === run) ? [run] : [];
  };
  const spreads = new Map(
    runs.flatMap((run) => (run.lathes ?? []).filter(isPlanned).map(({ lathe, off }) => [`${run.id} ${lathe}`, off])),
  );
  const none: Off = { setup: { down: 0, up: 0 }, pieces: { down: 0, up: 0 } };
  return {
    jobs: made.map(({ job }) => ({ ...job, after: job.after.flatMap(partsToWaitFor) })),
    lathes,
    keep: Object.fromEntries(days.order.map(({ lathe, runs: named }) => [lathe, named])),
    begun: new Map(made.flatMap(({ job, begun }) => (begun === undefined ? [] : [[job.id, begun]]))),
    off: (run, lathe) => spreads.get(`${run} ${lathe}`) ?? none,
  };
}

/** A moment of a schedule as its day and the minutes of it. */
export const momentOf = (today: string, at: number): { day: string; minutes: number } => ({
  day: dayAfter(today, Math.floor(at / DAY)),
  minutes: Math.round(at % DAY),
});
