/** One way of filling a bar: which bar, and how many of each length. */
export interface Filling {
  bar: number;
  counts: number[];
}

/** Rooms and weights in one unit, as `solveCuts` sees them. */
export interface Packed {
  rooms: readonly number[];
  weights: readonly number[];
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
  { rooms, weights }: Packed,
  demands: readonly number[],
  counts: readonly number[],
  preference: Preference,
): { fillings: Filling[]; missing: number[] } {
  const left = [...demands];
  const there = [...counts];
  const byLength = weights.map((_, item) => item).sort((a, b) => (weights[b] ?? 0) - (weights[a] ?? 0));
  const order = rooms.map((_, bar) => bar).sort((a, b) => preference(a) - preference(b));
  const fillings: Filling[] = [];
  const missing = weights.map(() => 0);
  for (const longest of byLength)
    while ((left[longest] ?? 0) > 0) {
      const bar = order.find((own) => (there[own] ?? 0) > 0 && (rooms[own] ?? 0) >= (weights[longest] ?? 0));
      if (bar === undefined) {
        missing[longest] = left[longest] ?? 0;
        left[longest] = 0;
        break;
      }
      there[bar] = (there[bar] ?? 0) - 1;
      const filling = weights.map(() => 0);
      let room = rooms[bar] ?? 0;
      for (const item of byLength) {
        const many = Math.min(left[item] ?? 0, Math.floor(room / (weights[item] ?? Infinity)));
        filling[item] = many;
        left[item] = (left[item] ?? 0) - many;
        room -= many * (weights[item] ?? 0);
      }
      fillings.push({ bar, counts: filling });
    }
  return { fillings, missing };
}
