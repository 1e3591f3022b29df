import type { Split } from './days';
import type { MadeOn } from './runToMake';
import { DAY, workedBy, type WorkTime } from './hours';
import type { Placed } from './place';

/** A run as it is placed: whole, or the first or second of two parts. */
export interface Part {
  /** By what an order knows it: 12, and 12.1 for the second part of run 12. */
  id: number;
  run: number;
  is: 'whole' | 'first' | 'second';
  split?: Split;
}

/** By what an order knows the second part of a run. */
export const secondOf = (run: number): number => Number(`${run}.1`);

/** The parts that a run is placed in. @param split undefined for one that is made in one go */
export const partsOf = (run: number, split: Split | undefined): Part[] =>
  split
    ? [
        { id: run, run, is: 'first', split },
        { id: secondOf(run), run, is: 'second', split },
      ]
    : [{ id: run, run, is: 'whole' }];

/** Whether a run can be split so: the first part leaves some pieces, or set-ups, to the second. */
export const canSplit = (split: Split, quantity: number, on: MadeOn | undefined): boolean =>
  split.at === 'pieces' ? split.first < quantity : on !== undefined && split.second <= on.setups.length;

/** What the first set-ups of a run make on a lathe. Two lathes on which they make the same may share a run between them. */
export const madeBefore = ({ setups }: MadeOn, second: number): string =>
  [...new Set(setups.slice(0, second - 1).flatMap(({ makes }) => makes))].sort().join(' ');

/** Pieces of a part, its spares shared out with the rest. */
function piecesOf(part: Part, pieces: number, quantity: number): { before: number; pieces: number } {
  if (part.split?.at !== 'pieces') return { before: 0, pieces };
  const first = Math.round((pieces * part.split.first) / quantity);
  return part.is === 'first' ? { before: 0, pieces: first } : { before: first, pieces: pieces - first };
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
  const at = part.split.second - 1;
  const setups = part.is === 'first' ? on.setups.slice(0, at) : on.setups.slice(at);
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

/** A part in words: `first 20`, `the other 30`, `set-up 1`, `from set-up 2 on`; nothing for a run in one go. */
export function sayPart({ is, split }: Part, quantity: number): string {
  if (!split) return '';
  if (split.at === 'pieces') return is === 'first' ? `the first ${split.first}` : `the other ${quantity - split.first}`;
  if (is === 'second') return `from set-up ${split.second} on`;
  return split.second === 2 ? 'set-up 1' : `set-ups 1 to ${split.second - 1}`;
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
