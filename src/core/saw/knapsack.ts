/** A bounded knapsack over whole units: the best value for every room up to the largest, and what it is made of. */
export interface Packing {
  valueAt(room: number): number;
  /** How many of each item the best filling of a room has. */
  countsAt(room: number): number[];
}

/**
 * Packs items by dynamic programming: exact, and steady where a search would run wild, since near the end of column
 * generation every item is worth about its length. A bound is split into powers of two (textbook).
 * @param weights whole units, positive
 * @param bounds how many of each there are
 */
export function pack(
  values: readonly number[],
  weights: readonly number[],
  bounds: readonly number[],
  room: number,
): Packing {
  const lots = values.flatMap((value, item) => {
    const weight = weights[item] ?? 0;
    if (value <= 1e-12 || weight > room) return [];
    const split: { item: number; many: number }[] = [];
    let left = Math.min(bounds[item] ?? 0, Math.floor(room / weight));
    for (let many = 1; left > 0; many *= 2) {
      const taken = Math.min(many, left);
      split.push({ item, many: taken });
      left -= taken;
    }
    return split;
  });
  const best = new Float64Array(room + 1);
  const taken = lots.map(({ item, many }) => {
    const weight = (weights[item] ?? 0) * many;
    const value = (values[item] ?? 0) * many;
    const bits = new Uint8Array(room + 1);
    for (let at = room; at >= weight; at--) {
      const other = (best[at - weight] as number) + value;
      if (other > (best[at] as number) + 1e-12) {
        best[at] = other;
        bits[at] = 1;
      }
    }
    return bits;
  });
  return {
    valueAt: (at) => best[Math.min(at, room)] ?? 0,
    countsAt(at) {
      const counts = values.map(() => 0);
      let left = Math.min(at, room);
      for (let lot = lots.length - 1; lot >= 0; lot--) {
        const { item, many } = lots[lot] as (typeof lots)[number];
        if (taken[lot]?.[left]) {
          counts[item] = (counts[item] ?? 0) + many;
          left -= (weights[item] ?? 0) * many;
        }
      }
      return counts;
    },
  };
}

/**
 * The same with as many of each item as fit: several times quicker, never worth less, and so a bound on the bounded one.
 */
export function packFreely(values: readonly number[], weights: readonly number[], room: number): Packing {
  const best = new Float64Array(room + 1);
  const last = new Int16Array(room + 1).fill(-1);
  values.forEach((value, item) => {
    const weight = weights[item] ?? 0;
    if (value <= 1e-12 || weight > room) return;
    for (let at = weight; at <= room; at++) {
      const other = (best[at - weight] as number) + value;
      if (other > (best[at] as number) + 1e-12) {
        best[at] = other;
        last[at] = item;
      }
    }
  });
  return {
    valueAt: (at) => best[Math.min(at, room)] ?? 0,
    countsAt(at) {
      const counts = values.map(() => 0);
      let left = Math.min(at, room);
      for (let item = last[left] ?? -1; item >= 0; item = last[left] ?? -1) {
        counts[item] = (counts[item] ?? 0) + 1;
        left -= weights[item] ?? 0;
      }
      return counts;
    },
  };
}
