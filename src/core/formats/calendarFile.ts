import ical, { ICalCalendarMethod } from 'ical-generator';
import { dayAfter, daysBetween, workTimeOf, type DaysFile } from '../schedule/days';
import { partNamed } from '../schedule/fromRuns';
import type { RunToMake } from '../schedule/runToMake';
import { DAY, workedBetween } from '../schedule/hours';
import { sayPart } from '../schedule/parts';
import type { Placed } from '../schedule/place';

/** What a calendar is made of, and whose it is: a lathe's, a run's, or everything. */
export interface CalendarAsked {
  placed: readonly Placed[];
  runs: readonly RunToMake[];
  days: DaysFile;
  machines: readonly { id: string; name: string }[];
  /** The schedule's first day. */
  today: string;
  lathe?: string;
  run?: number;
  /** When it was put out. */
  stamp: Date;
}

/** A moment of the shop's own clock, in no zone: what is written without one is taken from the parts of UTC. */
const momentOf = (today: string, at: number): Date =>
  new Date(Date.parse(`${dayAfter(today, Math.floor(at / DAY))}T00:00:00Z`) + Math.round(at % DAY) * 60_000);

/**
 * Runs in their places as a calendar (RFC 5545): an entry for each day on which a run is made, from its first minute of work to its
 * last, by the shop's own clock; one for the day that it is promised for.
 */
export function calendarFile({ placed, runs, days, machines, today, lathe, run, stamp }: CalendarAsked): string {
  const nameOf = (id: string) => machines.find((machine) => machine.id === id)?.name ?? id;
  const only = runs.find(({ id }) => id === run);
  const title = only ? `${only.number} ${only.name}` : lathe === undefined ? 'All lathes' : nameOf(lathe);
  const calendar = ical({
    name: `Shingle: ${title}`,
    method: ICalCalendarMethod.PUBLISH,
    prodId: '//Shingle//Days//EN',
  });
  for (const one of placed) {
    const named = partNamed(one.job, runs, days);
    if (!named || (lathe !== undefined && one.lathe !== lathe) || (run !== undefined && one.run !== run)) continue;
    const { run: made, part } = named;
    const parts = workedBetween(workTimeOf(one.lathe, days, today), one.start, one.made);
    const onDays = [...new Set(parts.map(({ from }) => Math.floor(from / DAY)))];
    onDays.forEach((index, place) => {
      const stretches = parts.filter(({ from }) => Math.floor(from / DAY) === index);
      calendar.createEvent({
        id: `run-${one.job}-day-${dayAfter(today, index)}@shingle`,
        start: momentOf(today, stretches[0]?.from ?? 0),
        end: momentOf(today, stretches.at(-1)?.to ?? 0),
        floating: true,
        stamp,
        summary: `${[made.number, made.name, sayPart(part, made.quantity)].filter(Boolean).join(' ')}${onDays.length > 1 ? `, day ${place + 1} of ${onDays.length}` : ''}`,
        location: nameOf(one.lathe),
        description: `${made.quantity} off${made.customer ? ` for ${made.customer}` : ''}`,
      });
    });
    if (made.due !== '' && part.isLast)
      calendar.createEvent({
        id: `run-${one.run}-promised@shingle`,
        start: momentOf(today, daysBetween(today, made.due) * DAY),
        allDay: true,
        floating: true,
        stamp,
        summary: `${made.number} ${made.name} promised`,
      });
  }
  return calendar.toString();
}
