import { format } from 'date-fns';
import { answerDays, type DaysAnswer } from '@/core/schedule/answer';
import type { DaysFile } from '@/core/schedule/days';
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
