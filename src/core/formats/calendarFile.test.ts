import ICAL from 'ical.js';
import { startDays } from '../schedule/startDays';
import type { Placed } from '../schedule/place';
import type { RunToMake } from '../schedule/runToMake';
import { calendarFile } from './calendarFile';

const run = (id: number, more: Partial<RunToMake> = {}): RunToMake => ({
  id,
  number: `WS-${id}`,
  name: 'Mast collar; brass, "long"',
  quantity: 60,
  customer: '',
  due: '',
  state: 'released',
  lathes: [],
  machine: 'A',
  done: {},
  ...more,
});

const place = (job: number, lathe: string, start: number, made: number): Placed => ({
  job,
  run: Math.floor(job),
  lathe,
  start,
  begun: start,
  made,
  delivered: made,
  ready: 0,
  late: 0,
  missed: 0,
});

/** Monday from 14:00 to Tuesday at 9:30; and one on the other lathe. */
const asked = {
  placed: [place(1, 'A', 840, 1440 + 570), place(2, 'B', 420, 480)],
  runs: [run(1, { due: '2026-12-04' }), run(2)],
  days: startDays(['A', 'B']),
  machines: [
    { id: 'A', name: 'centre lathe A' },
    { id: 'B', name: 'bench lathe B' },
  ],
  today: '2026-11-30',
  stamp: new Date('2026-11-30T06:00:00Z'),
};

/** As another package reads it. */
const opened = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((component) => {
    const { summary, startDate, endDate, location, uid } = new ICAL.Event(component);
    return { summary, from: startDate.toString(), to: endDate.toString(), zone: startDate.zone.tzid, location, uid };
  });

test('a lathe’s calendar: an entry a day of work, by the shop’s own clock, and the day of the promise', () => {
  expect(opened(calendarFile({ ...asked, lathe: 'A' }))).toEqual([
    {
      summary: 'WS-1 Mast collar; brass, "long", day 1 of 2',
      from: '2026-11-30T14:00:00',
      to: '2026-11-30T15:30:00',
      zone: 'floating',
      location: 'centre lathe A',
      uid: 'run-1-day-2026-11-30@shingle',
    },
    expect.objectContaining({ from: '2026-12-01T07:00:00', to: '2026-12-01T09:30:00' }),
    expect.objectContaining({ summary: 'WS-1 Mast collar; brass, "long" promised', from: '2026-12-04' }),
  ]);
});

test('a run’s calendar has that run alone, and put out again its entries are the same ones', () => {
  const [one, ...others] = opened(calendarFile({ ...asked, run: 2 }));
  expect([one?.location, others]).toEqual(['bench lathe B', []]);
  const names = (text: string) => opened(text).map(({ uid }) => uid);
  expect(names(calendarFile(asked))).toEqual(names(calendarFile({ ...asked, stamp: new Date() })));
});
