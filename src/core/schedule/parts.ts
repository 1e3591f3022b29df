import type { Split } from './days';
import type { MadeOn } from './runToMake';
import { DAY, workedBy, type WorkTime } from './hours';
import type { Placed } from './place';

/** A run as it is placed, whole or a part of it. */
export interface Part {
  /** By what an order knows it: 12, and 12.1 for the second part of run 12. */
  id: number;
  run: number;
  /** Which of the parts, from 0 on, and whether nothing comes behind it. */
  index: number;
  isLast: boolean;
  split?: Split;
}

/** A run has so many parts at most: an order knows them by one digit. */
export const MOST_PARTS = 10;

/** By what an order knows a part of a run, the first by the run alone. */
export const partId = (run: number, index: number): number => (index === 0 ? run : Number(`${run}.${index}`));

/** The parts that a run is placed in. @param split undefined for one that is made in one go */
export const partsOf = (run: number, split: Split | undefined): Part[] =>
  [0, ...(split?.from ?? [])].map((_, index, all) => ({
    id: partId(run, index),
    run,
    index,
    isLast: index === all.length - 1,
    ...(split ? { split } : {}),
  }));

/** Whether a run can be split so: every part has some pieces, or set-ups. */
export function canSplit({ at, from }: Split, quantity: number, on: MadeOn | undefined): boolean {
  const least = at === 'pieces' ? 1 : 2;
  const most = at === 'pieces' ? quantity - 1 : (on?.setups.length ?? 0);
  return (
    from.length > 0 &&
    from.length < MOST_PARTS &&
    from.every((one, index) => one >= (index === 0 ? least : (from[index - 1] ?? 0) + 1) && one <= most)
  );
}

/** The lathe on which a part behind the first is to be made, where that is decided. */
export const latheOf = ({ index, split }: Part): string | undefined => split?.lathes?.[index - 1] || undefined;

/** Whether what a part makes is finished, but for work elsewhere: of a run that is split before a set-up only the last is. */
export const finishes = ({ isLast, split }: Part): boolean => isLast || split?.at !== 'setup';

/** What the first set-ups of a run make on a lathe. Two lathes on which they make the same may share a run between them. */
export const madeBefore = ({ setups }: MadeOn, second: number): string =>
  [...new Set(setups.slice(0, second - 1).flatMap(({ makes }) => makes))].sort().join(' ');

/** Pieces of a part, its spares shared out with the rest. */
function piecesOf({ index, split }: Part, pieces: number, quantity: number): { before: number; pieces: number } {
  if (split?.at !== 'pieces') return { before: 0, pieces };
  const [from, to] = [index - 1, index].map((cut) => {
    const good = cut < 0 ? 0 : (split.from[cut] ?? quantity);
    return Math.round((pieces * good) / quantity);
  }) as [number, number];
  return { before: from, pieces: to - from };
}

const sum = (all: readonly number[]): number => all.reduce((total, one) => total + one, 0);
const share = (of: number, whole: number): number => (whole > 0 ? of / whole : 1);

/** What a part takes on a lathe of what its run takes there: every set-up of some pieces, or some set-ups of every piece. */
export function partOn(part: Part, on: MadeOn, quantity: number): MadeOn {
  if (part.split === undefined) return on;
  if (part.split.at === 'pieces') {
    const { pieces } = piecesOf(part, on.pieces, quantity);
    return { ...on, pieces, work: on.work * share(pieces, on.pieces) };
  }
  const [begin = 0, end] = [part.index - 1, part.index].map((cut) =>
    cut < 0 ? 0 : part.split?.from[cut] === undefined ? undefined : part.split.from[cut] - 1,
  );
  const setups = on.setups.slice(begin, end);
  const of = (what: 'ready' | 'piece') =>
    share(sum(setups.map((one) => one[what])), sum(on.setups.map((one) => one[what])));
  const [begins, ends] = [setups[0]?.setting, setups.at(-1)?.setting];
  const stays = setups.flatMap(({ setting }) => setting?.stays ?? []);
  return {
    ...on,
    ready: on.ready * of('ready'),
    work: on.work * of('piece'),
    setups,
    ...(begins && ends ? { setting: { ...begins, ends: ends.ends, stays } } : {}),
  };
}

/** What share of a part is not made yet, weighed by the minutes of its steps. @param done steps of the run, by their keys */
export function leftOf(part: Part, on: MadeOn, quantity: number, done: Readonly<Record<string, number>>): number {
  const { before, pieces } = piecesOf(part, on.pieces, quantity);
  const own = partOn(part, on, quantity).setups.flatMap(({ steps }) => Object.entries(steps));
  const over = sum(own.map(([key, minutes]) => minutes * Math.min(pieces, Math.max(0, (done[key] ?? 0) - before))));
  const whole = pieces * sum(own.map(([, minutes]) => minutes));
  return whole > 0 ? 1 - over / whole : 1;
}

/** A part in words: `the first 20`, `the next 10`, `the other 30`, `set-up 1`, `from set-up 2 on`; nothing for a run in one go. */
export function sayPart({ index, isLast, split }: Part, quantity: number): string {
  if (!split) return '';
  const [from, to] = [split.from[index - 1] ?? 0, split.from[index]];
  if (split.at === 'pieces')
    return index === 0 ? `the first ${to}` : isLast ? `the other ${quantity - from}` : `the next ${(to ?? 0) - from}`;
  if (isLast) return `from set-up ${from} on`;
  const [first, last] = [Math.max(1, from), (to ?? 0) - 1];
  return first === last ? `set-up ${first}` : `set-ups ${first} to ${last}`;
}

/** Pieces of a run that are made until nobody works on its first day any more, when it is made ready and its pieces go through all set-ups. */
export function piecesOfFirstDay(
  on: Pick<MadeOn, 'pieces' | 'work'>,
  { start, ready }: Pick<Placed, 'start' | 'ready'>,
  time: WorkTime,
): number {
  if (start === Infinity || on.work <= 0) return 0;
  const evening = (Math.floor(start / DAY) + 1) * DAY;
  const left = workedBy(time, evening) - workedBy(time, start) - ready;
  return Math.max(0, Math.floor((left * on.pieces) / on.work + 1e-9));
}
