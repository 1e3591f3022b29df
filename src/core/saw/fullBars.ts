import type { Filling } from './firstFit';
import type { Listed } from './listed';
import { numbers } from './numbers';

/** Pieces one by one, by the room that each takes, the longest first; a bar is a list of places in it. */
type Bar = number[];

/** The most pieces that are looked at one by one. */
const MOST_PIECES = 1500;

/** So many pieces are tried at most for one bar: in the first packing, and when a few bars are packed anew. */
const TRIES = 20_000;
const TRIES_ANEW = 500;

/** A few bars are packed anew together, from and to. */
const FEWEST = 3;
const MOST = 8;

/**
 * The first piece, and of the others those that leave the least of the room (textbook: least slack).
 * @param pieces the first is taken, the others are longest first
 * @returns places in `pieces`
 */
function fullest(sizes: readonly number[], pieces: readonly number[], room: number, tries: number): number[] {
  const first = room - (sizes[pieces[0] as number] as number);
  let [least, best] = [first, [] as number[]];
  let left = tries;
  const chosen: number[] = [];
  const goOn = (from: number, slack: number): void => {
    if (slack < least) [least, best] = [slack, [...chosen]];
    for (let at = from; at < pieces.length && least > 0; at += 1) {
      const size = sizes[pieces[at] as number] as number;
      if (size > slack) continue;
      if ((left -= 1) <= 0) return;
      chosen.push(at);
      goOn(at + 1, slack - size);
      chosen.pop();
    }
  };
  goOn(1, first);
  return [0, ...best];
}

/**
 * Packs bar after bar as full as it goes.
 * @param leads which of the pieces left the next bar must take
 */
function packed(
  sizes: readonly number[],
  pieces: readonly number[],
  room: number,
  tries: number,
  leads: (left: number) => number,
): Bar[] {
  let left = [...pieces].sort((a, b) => a - b);
  const bars: Bar[] = [];
  while (left.length > 0) {
    const lead = leads(left.length);
    const order = [left[lead] as number, ...left.filter((_, at) => at !== lead)];
    const bar = fullest(sizes, order, room, tries).map((at) => order[at] as number);
    bars.push(bar);
    const gone = new Set(bar);
    left = left.filter((piece) => !gone.has(piece));
  }
  return bars;
}

/** One way of packing, and how to better it. */
export interface FullBars {
  /** Bars needed. */
  readonly many: number;
  /** Takes a few bars, packs them anew, and keeps that when it needs fewer or leaves its rest more in one place. */
  mend(): void;
  fillings(): Filling[];
}

/**
 * Packs each bar as full as it goes, the longest piece left first. Where about three pieces go to a bar this is within
 * one or two of the fewest at once, and a good start for the columns.
 * @returns undefined where bars differ, are limited, pieces are turned from the bar, or there are too many
 */
export function fullBars({ units, bars }: Listed): FullBars | undefined {
  const { demands, rooms, up } = units;
  const pieces = demands.reduce((total, demand) => total + demand, 0);
  const bar = bars.counts.indexOf(null);
  if (!bars.alike || bar < 0 || pieces > MOST_PIECES || up.some(({ start }) => start > 0)) return undefined;
  const room = rooms[bar] as number;
  const items = [...up.keys()].sort((a, b) => (up[b]?.each ?? 0) - (up[a]?.each ?? 0));
  const itemOf = items.flatMap((item) => Array.from({ length: demands[item] ?? 0 }, () => item));
  const sizes = itemOf.map((item) => up[item]?.each ?? 0);
  const random = numbers(1);
  const below = (count: number) => Math.floor(random() * count);
  const fill = (of: Bar) => of.reduce((total, piece) => total + (sizes[piece] as number), 0) / room;
  /** The squares of the fills: the more, the more of the rest is in one place. */
  const gathered = (of: Bar[]) => of.reduce((total, filled) => total + fill(filled) ** 2, 0);
  let way = packed(sizes, [...sizes.keys()], room, TRIES, () => 0);
  return {
    get many() {
      return way.length;
    },
    mend() {
      const emptiest = [...way.keys()].sort((a, b) => fill(way[a] as Bar) - fill(way[b] as Bar));
      const taken = new Set([emptiest[0] as number]);
      const count = Math.min(way.length, FEWEST + below(MOST - FEWEST + 1));
      // Half of the others are from anywhere, half rather of those with room left.
      while (taken.size < count)
        taken.add(random() < 0.5 ? below(way.length) : (emptiest[Math.floor(random() * below(way.length))] as number));
      const before = [...taken].map((at) => way[at] as Bar);
      const after = packed(sizes, before.flat(), room, TRIES_ANEW, (left) => (random() < 0.5 ? 0 : below(left)));
      if (after.length > before.length) return;
      if (after.length === before.length && gathered(after) < gathered(before) - 1e-9) return;
      way = [...way.filter((_, at) => !taken.has(at)), ...after];
    },
    fillings: () =>
      way.map((filled) => {
        const counts = demands.map(() => 0);
        for (const piece of filled) counts[itemOf[piece] as number] = (counts[itemOf[piece] as number] ?? 0) + 1;
        return { bar, counts };
      }),
  };
}
