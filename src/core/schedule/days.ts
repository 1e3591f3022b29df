import { DAY, workTime, type Stretch, type WorkTime } from './hours';

/** Days of the week as they are counted: Monday is the first. */
export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** Days from one to another, both with it, as 2026-12-24. */
export interface DaySpan {
  from: string;
  to: string;
}

/** Somebody who works at the lathes, by the role. */
export interface Person {
  name: string;
  /** When, by the day of the week from Monday on: `07:00-12:00 12:30-15:30`; nothing on a day off. */
  hours: readonly string[];
  /** Holidays and sick days. */
  away: readonly DaySpan[];
  /**
   * At which lathe on which days of the week: a lathe by its id for each, nothing for none; two with a `;` between them where the second is
   * stood at from the second stretch of hours on.
   */
  stands: readonly string[];
}

/**
 * A run that is made in parts, each made ready by itself: some pieces after the others, by which good pieces are meant; or all pieces as
 * far as before a set-up, and from that set-up on, which may be on another lathe while the part before is still being made.
 */
export interface Split {
  at: 'pieces' | 'setup';
  /** Where each part but the first begins: when so many pieces are made, or with that set-up; rising. */
  from: readonly number[];
  /** On which lathe each of these is made, where that is decided; an empty text for any. */
  lathes?: readonly string[];
}

/** What is decided of one run. */
export interface RunWish {
  run: number;
  /** How much a minute too late counts; 1 as a rule. */
  weight?: number;
  /** Its bar, or a tool for it, is not there before this day. */
  release?: string;
  /** It is begun on this day. */
  day?: string;
  /** It is made on this lathe; of a run in parts the first is. */
  lathe?: string;
  split?: Split;
  /** Runs that are made before it. */
  after?: readonly number[];
  /** Days that somebody else has it afterwards. */
  outsideDays?: number;
}

/** When the shop works, and what is decided of its runs: `shingle-days/1`. */
export interface DaysFile {
  format: 'shingle-days/1';
  people: readonly Person[];
  /** Days on which nobody works. */
  closed: readonly DaySpan[];
  /** Lathes that are not to be had. */
  service: readonly ({ lathe: string } & DaySpan)[];
  runs: readonly RunWish[];
  /** The order that was taken, the second part of run 12 as 12.1, its third as 12.2; what is not in it is placed anew. */
  order: readonly { lathe: string; runs: readonly number[] }[];
  /** So many days until something is there that a run wants and the shop has not, where nobody says when. */
  toolDays: number;
  /** So many pieces lie between two lathes when one goes on with what the other makes. */
  between: number;
  /** Share of the played weeks in which a promise is kept that is not in doubt. */
  sureFrom: number;
  /** Overtime that is tried where a promise is in doubt, minutes a day. */
  overtime: number;
}

/** What is decided of a run, by its id. */
export const wishOf = ({ runs }: Pick<DaysFile, 'runs'>, run: number): RunWish | undefined =>
  runs.find((wish) => wish.run === run);

/** A moment of a day, minutes from its midnight. */
const minutesOf = (clock: string): number => {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return 60 * hours + minutes;
};

/** Minutes of a day as a clock has them: 07:30. */
export const clockOf = (minutes: number): string =>
  [Math.floor(minutes / 60), minutes % 60].map((part) => String(part).padStart(2, '0')).join(':');

/** How hours of a day are written: stretches in their order that do not overlap. */
export function stretchesOf(text: string): Stretch[] | undefined {
  const words = text.trim() === '' ? [] : text.trim().split(/[\s,;]+/u);
  const stretches = words.map((word) => /^(\d{1,2}:\d{2})[-–](\d{1,2}:\d{2})$/u.exec(word));
  const all: Stretch[] = [];
  for (const match of stretches) {
    if (!match) return undefined;
    const stretch = { from: minutesOf(match[1] ?? ''), to: minutesOf(match[2] ?? '') };
    const before = all.at(-1)?.to ?? 0;
    if (stretch.from < before || stretch.to <= stretch.from || stretch.to > DAY) return undefined;
    all.push(stretch);
  }
  return all;
}

const MS_PER_DAY = 86_400_000;

/** Days from one day to another; they have no time of day, and none is longer than another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / MS_PER_DAY);

/** So many days after a day, as 2026-12-24. */
export const dayAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * MS_PER_DAY).toISOString().slice(0, 10);

/** Which day of the week, from Monday as 0. */
export const weekdayOf = (day: string): number => (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;

const isIn = (day: string, spans: readonly DaySpan[]): boolean =>
  spans.some(({ from, to }) => day >= from && day <= to);

/** The lathe that somebody stands at in a stretch of a day, from what is kept of that day; nothing for none. */
export function standsAt(stands: string | undefined, stretch: number): string {
  const [first = '', second = first] = (stands ?? '').split(';');
  return stretch === 0 ? first : second;
}

/** Where somebody stands on a day: at one lathe, or at another from the second stretch on. */
export const standing = (first: string, second: string): string => (first === second ? first : `${first};${second}`);

/** So far a schedule looks ahead, days. */
export const AHEAD = 400;

/**
 * When a lathe is worked at from a day on: whoever stands there on that day of the week, in that person's hours, but for days away,
 * days on which nobody works and days of service.
 */
export function workTimeOf(lathe: string, { people, closed, service }: DaysFile, first: string): WorkTime {
  const notToBeHad = service.filter((one) => one.lathe === lathe);
  const stretches: Stretch[] = [];
  for (let index = 0; index < AHEAD; index++) {
    const day = dayAfter(first, index);
    if (isIn(day, closed) || isIn(day, notToBeHad)) continue;
    const weekday = weekdayOf(day);
    const here = people
      .filter(({ away }) => !isIn(day, away))
      .flatMap(({ hours, stands }) =>
        (stretchesOf(hours[weekday] ?? '') ?? []).filter((_, stretch) => standsAt(stands[weekday], stretch) === lathe),
      )
      .sort((a, b) => a.from - b.from);
    for (const { from, to } of here) stretches.push({ from: index * DAY + from, to: index * DAY + to });
  }
  return workTime(stretches);
}
