import type { DaysAsked } from './answer';
import type { DaysFile } from './days';
import type { RunToMake } from './runToMake';
import { startDays } from './startDays';

/** 2026-11-30 is a Monday. */
export const MONDAY = '2026-11-30';
/** Two lathes, a person at each, eight hours a day. */
export const days = (more: Partial<DaysFile> = {}): DaysFile => ({ ...startDays(['A', 'B']), ...more });

/** A run that both can make: an hour of making ready, and so many minutes of pieces. */
export const run = (id: number, minutes: number, more: Partial<RunToMake> = {}): RunToMake => ({
  id,
  number: `WS-${id}`,
  name: 'a stud',
  quantity: 10,
  customer: '',
  due: '',
  state: 'released',
  machine: 'A',
  done: {},
  lathes: ['A', 'B'].map((lathe) => ({
    lathe,
    ready: 60,
    work: minutes,
    pieces: 10,
    perBar: 4,
    toGet: [],
    off: { setup: { down: 0.2, up: 0.2 }, pieces: { down: 0.1, up: 0.3 } },
    learned: false,
    setups: [
      { number: 1, ready: 40, piece: 3, words: 'front', steps: { load: 1, turn: 2 }, makes: ['face', 'steps.0'] },
      { number: 2, ready: 20, piece: 1, words: 'back', steps: { turn_round: 1 }, makes: ['back'] },
    ],
  })),
  ...more,
});

/** What is asked on that Monday, before anybody began. */
export const asked = (runs: readonly RunToMake[], more: Partial<DaysFile> = {}): DaysAsked => ({
  runs,
  days: days(more),
  machines: ['A', 'B'],
  today: MONDAY,
  now: 0,
});
