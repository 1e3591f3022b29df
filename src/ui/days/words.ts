import { format, parseISO } from 'date-fns';
import { sayMinutes } from '@/core/model/units/show';
import { DAY } from '@/core/schedule/hours';
import { momentOf, partNamed } from '@/core/schedule/fromRuns';
import type { RunToMake } from '@/core/schedule/runToMake';
import { clockOf, type DaysFile } from '@/core/schedule/days';
import type { Help } from '@/core/schedule/helps';
import { sayPart } from '@/core/schedule/parts';

/** A day in words: Tue 1 Dec. */
export const sayDay = (day: string): string => format(parseISO(day), 'EEE d MMM');

/** A moment of a schedule in words: Tue 1 Dec 11:40. */
export function sayMoment(today: string, at: number): string {
  if (at === Infinity) return 'not within the hours';
  const { day, minutes } = momentOf(today, at);
  return `${sayDay(day)} ${clockOf(minutes)}`;
}

/** The last day of something that ends at a moment; what ends with a midnight ends on the day before it. */
export const lastDay = (today: string, at: number): string => momentOf(today, Math.max(0, at - 1)).day;

/** How much too late, in words: whole days, below that hours. */
export function sayLate(minutes: number): string {
  if (minutes >= DAY) return `${Math.ceil(minutes / DAY)} d`;
  return `${Math.max(1, Math.ceil(minutes / 60))} h`;
}

/** A run by its number, with its part where it is made in two. */
export function sayJob(id: number, runs: readonly RunToMake[], days: DaysFile): string {
  const { run, part } = partNamed(id, runs, days) ?? {};
  return run && part ? [run.number, sayPart(part, run.quantity)].filter(Boolean).join(', ') : '';
}

/** So often of a hundred. */
export const sayShare = (share: number): string => `${Math.round(100 * share)} of 100`;

/** What would help, in words. */
export function sayHelp(
  what: Help['what'],
  numberOf: (run: number) => string,
  nameOf: (lathe: string) => string,
): string {
  switch (what.kind) {
    case 'careful':
      return 'An order with room for what takes longer';
    case 'overtime':
      return `${sayMinutes(what.minutes)} of overtime a day`;
    case 'elsewhere':
      return `${numberOf(what.run)} on ${nameOf(what.lathe)}`;
    case 'halved':
      return `${numberOf(what.run)} in two halves, the other on ${nameOf(what.lathe)}`;
    case 'shared':
      return `${numberOf(what.run)} from set-up ${what.second} on: on ${nameOf(what.lathe)}, while the first lathe is at it`;
    case 'bought-in':
      return `${numberOf(what.run)} bought in`;
  }
}
