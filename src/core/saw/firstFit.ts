import { fitting, taken, type Take } from './cutList';

/** One way of filling a bar: which bar, and how many of each length. */
export interface Filling {
  bar: number;
  counts: number[];
}

/** Rooms and what the pieces take, in one unit, as `solveCuts` sees them. */
export interface Packed {
  rooms: readonly number[];
  takes: readonly Take[];
}

/** Bars in the order they are taken: offcuts before new ones, and of each the shortest that takes the piece. */
export type Preference = (bar: number) => number;

/**
 * Fills bars one after the other, the longest pieces first, each bar as full as it goes with what is left (first fit
 * decreasing, textbook). Never the best, always a way: what the exact method starts from and is measured by.
 * @param counts bars there are of each kind
 * @returns the fillings in order, or how many of each length found no bar
 */
export function firstFit(
  { rooms, takes }: Packed,
  demands: readonly number[],
  counts: readonly number[],
  preference: Preference,
): { fillings: Filling[]; missing: number[] } {
  const left = [...demands];
  const there = [...counts];
  const items = takes.map((take, item) => ({ item, take, one: taken(take, 1) })).sort((a, b) => b.one - a.one);
  const order = rooms.map((_, bar) => bar).sort((a, b) => preference(a) - preference(b));
  const fillings: Filling[] = [];
  const missing = takes.map(() => 0);
  for (const { item: longest, one } of items)
    while ((left[longest] ?? 0) > 0) {
      const bar = order.find((index) => (there[index] ?? 0) > 0 && (rooms[index] ?? 0) >= one);
      if (bar === undefined) {
        missing[longest] = left[longest] ?? 0;
        left[longest] = 0;
        break;
      }
      there[bar] = (there[bar] ?? 0) - 1;
      const filling = takes.map(() => 0);
      let room = rooms[bar] ?? 0;
      for (const { item, take } of items) {
        const many = Math.min(left[item] ?? 0, fitting(take, room));
        filling[item] = many;
        left[item] = (left[item] ?? 0) - many;
        room -= taken(take, many);
      }
      fillings.push({ bar, counts: filling });
    }
  return { fillings, missing };
}
