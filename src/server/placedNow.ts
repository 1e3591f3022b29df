import { format } from 'date-fns';
import { answerDays, type DaysAnswer } from '@/core/schedule/answer';
import type { DaysFile } from '@/core/schedule/days';
import { momentOf, partNamed } from '@/core/schedule/fromRuns';
import type { RunToMake } from '@/core/schedule/runToMake';
import { currentDays } from './daysRepository';
import { runsToMake } from './runsToMake';

/** Runs in their places as they are at a moment, by the order that was taken. */
export interface PlacedNow {
  placed: DaysAnswer['placed'];
  /** Those that are planned on every lathe, and all. */
  runs: readonly RunToMake[];
  all: readonly RunToMake[];
  days: DaysFile;
  today: string;
  stamp: Date;
}

/** Places the runs by the order that was taken; nothing is placed before one was. @param machines ids of the lathes */
export async function placedNow(machines: readonly string[]): Promise<PlacedNow> {
  const [{ days }, all] = await Promise.all([currentDays(), runsToMake()]);
  const runs = all.filter(({ lathes }) => lathes !== undefined);
  const stamp = new Date();
  const today = format(stamp, 'yyyy-MM-dd');
  const now = stamp.getHours() * 60 + stamp.getMinutes();
  const { placed } =
    days.order.length === 0 ? { placed: [] } : answerDays({ runs, days, machines, today, now }, { weeks: 0 });
  return { placed, runs, all, days, today, stamp };
}

/** What is made next on a lathe, and when it is begun. */
export interface Next {
  run: Pick<RunToMake, 'id' | 'number' | 'name' | 'quantity'>;
  /** Where it is at the lathe: of a run that another lathe makes as far as a set-up, from that one on. */
  address: string;
  /** Its day, and minutes of it. */
  from: { day: string; minutes: number };
}

/**
 * What is made next on a lathe by the order that was taken; nothing before one was.
 * @param but a run that was just made there
 */
export async function nextOn(lathe: string, machines: readonly string[], but?: number): Promise<Next | undefined> {
  const { placed, runs, days, today } = await placedNow(machines);
  const [first] = placed
    .filter((one) => one.lathe === lathe && one.run !== but && one.start < Infinity)
    .sort((a, b) => a.start - b.start);
  const named = first && partNamed(first.job, runs, days);
  if (!first || !named) return undefined;
  const { id, number, name, quantity } = named.run;
  const { index, split } = named.part;
  const setup = index > 0 && split?.at === 'setup' ? `?from=${split.from[index - 1]}` : '';
  return {
    run: { id, number, name, quantity },
    address: `/runs/${id}/lathe${setup}`,
    from: momentOf(today, first.start),
  };
}
