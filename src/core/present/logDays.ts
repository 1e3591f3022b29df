import { format } from 'date-fns';
import type { Ordered } from '../lathe/events';
import { sayEvent } from './saidEvent';

/** Something that happened, with the run that it belongs to. */
export type OfRun = Ordered & { run: number };

/** A day of the shop's log: run after run, how much was done, and what was more than usual. */
export interface LogDay {
  day: string;
  runs: {
    run: number;
    from: string;
    to: string;
    steps: number;
    pieces: number;
    measured: number;
    /** What is not every step's: scrap, corrections, edges, signs, notes, pauses, the newest first. */
    happened: { id: string; at: string; words: string }[];
  }[];
}

/** An operation by its key, for who has no plan at hand: `turn-finish:part.outside[0]` is “turn finish”. */
const plainName = (key: string): string => key.replace(/:.*$/, '').replace(/-/g, ' ');

/** What is told by number only. */
const USUAL = new Set<Ordered['kind']>(['done', 'begun', 'ready', 'measured']);

/** Groups by a key, in the order in which the keys come. */
function grouped<T>(items: readonly T[], keyOf: (item: T) => string): T[][] {
  const groups = new Map<string, T[]>();
  for (const item of items) groups.set(keyOf(item), [...(groups.get(keyOf(item)) ?? []), item]);
  return [...groups.values()];
}

/** What happened in the shop, day by day, the newest first, as the clocks of its devices had it. */
export function logDays(events: readonly OfRun[]): LogDay[] {
  const dayOf = ({ at }: OfRun) => format(new Date(at), 'yyyy-MM-dd');
  return grouped(
    [...events].sort((a, b) => b.at.localeCompare(a.at)),
    dayOf,
  ).map((ofDay) => ({
    day: dayOf(ofDay[0] as OfRun),
    runs: grouped(ofDay, ({ run }) => String(run)).map((ofRun) => ({
      run: ofRun[0]?.run ?? 0,
      from: ofRun.at(-1)?.at ?? '',
      to: ofRun[0]?.at ?? '',
      steps: ofRun.filter(({ kind }) => kind === 'done').length,
      pieces: new Set(ofRun.flatMap(({ kind, piece }) => (kind === 'done' && piece ? [piece] : []))).size,
      measured: ofRun.filter(({ kind }) => kind === 'measured').length,
      happened: ofRun
        .filter(({ kind }) => !USUAL.has(kind))
        .map((event) => ({ id: event.id, at: event.at, words: sayEvent(event, 'mm', plainName) })),
    })),
  }));
}
