import { fitting, taken, type Take } from './cutList';

/** A knapsack over whole units: the best value for every room up to the largest, and what it is made of. */
export interface Packing {
  valueAt(room: number): number;
  /** How many of each item the best filling of a room has. */
  countsAt(room: number): number[];
}

/** One stage of the packing: what it adds to the best of the stages before, and what it took of a room. */
interface Stage {
  item: number;
  /** Room that the stage took in the best filling of a room, and how many. */
  tookAt(room: number): { many: number; room: number };
}

/** So many of an item, or none. */
function lotStage(best: Float64Array, item: number, value: number, weight: number, many: number): Stage {
  const bits = new Uint8Array(best.length);
  for (let at = best.length - 1; at >= weight; at--) {
    const other = (best[at - weight] as number) + value;
    if (other > (best[at] as number) + 1e-12) {
      best[at] = other;
      bits[at] = 1;
    }
  }
  return { item, tookAt: (room) => (bits[room] ? { many, room: weight } : { many: 0, room: 0 }) };
}

/** From `first` to `last` of an item that then take a fixed offset and so much each. */
interface Span {
  value: number;
  each: number;
  offset: number;
  first: number;
  last: number;
}

/**
 * Betters every room by the best count of a span: along the rooms that differ by whole pieces the best beginning is the
 * maximum of a window that slides with the room (textbook), so a span costs one pass however many counts it has.
 */
function bySpan(base: Float64Array, best: Float64Array, counts: Uint16Array, span: Span): void {
  const { value, each, offset, first, last } = span;
  const room = best.length - 1 - offset;
  const window = new Int32Array(Math.floor(room / each) + 1);
  for (let rest = 0; rest < each && rest + first * each <= room; rest += 1) {
    // What a beginning is worth, so that all are compared at one room.
    const worth = (index: number) => (base[rest + index * each] as number) - index * value;
    let [head, tail] = [0, 0];
    for (let pieces = first; rest + pieces * each <= room; pieces += 1) {
      const entering = pieces - first;
      while (tail > head && worth(window[tail - 1] as number) <= worth(entering)) tail -= 1;
      window[tail++] = entering;
      if ((window[head] as number) < pieces - last) head += 1;
      const from = window[head] as number;
      const at = offset + rest + pieces * each;
      const other = worth(from) + pieces * value;
      if (other > (best[at] as number) + 1e-12) {
        best[at] = other;
        counts[at] = pieces - from;
      }
    }
  }
}

/** As many of an item as is best, up to a bound: the way for pieces that come from lengths with a start of their own. */
function countStage(best: Float64Array, item: number, value: number, take: Take, bound: number): Stage {
  const { each, start, perLength } = take;
  const base = best.slice();
  const counts = new Uint16Array(best.length);
  for (let first = 1, lengths = 1; first <= bound; first += perLength, lengths += 1)
    bySpan(base, best, counts, {
      value,
      each,
      offset: lengths * start,
      first,
      last: Math.min(bound, first + perLength - 1),
    });
  return {
    item,
    tookAt: (room) => ({ many: counts[room] ?? 0, room: taken(take, counts[room] ?? 0) }),
  };
}

/** As many of an item as fit: one pass, since each adds the same. */
function freeStage(best: Float64Array, item: number, value: number, weight: number): Stage {
  const counts = new Uint16Array(best.length);
  for (let at = weight; at < best.length; at++) {
    const other = (best[at - weight] as number) + value;
    if (other > (best[at] as number) + 1e-12) {
      best[at] = other;
      counts[at] = (counts[at - weight] as number) + 1;
    }
  }
  return { item, tookAt: (room) => ({ many: counts[room] ?? 0, room: (counts[room] ?? 0) * weight }) };
}

/** Powers of two that together make every count up to a bound (textbook). */
function lotsUpTo(bound: number): number[] {
  const lots: number[] = [];
  for (let many = 1, left = bound; left > 0; left -= many, many *= 2) lots.push(Math.min(many, left));
  return lots;
}

function packingOf(best: Float64Array, stages: readonly Stage[], items: number): Packing {
  const within = (room: number) => Math.min(room, best.length - 1);
  return {
    valueAt: (room) => best[within(room)] ?? 0,
    countsAt(room) {
      const counts = Array.from({ length: items }, () => 0);
      let left = within(room);
      for (const { item, tookAt } of [...stages].reverse()) {
        const took = tookAt(left);
        counts[item] = (counts[item] ?? 0) + took.many;
        left -= took.room;
      }
      return counts;
    },
  };
}

/** Items worth packing, with how many of each find room. */
const worthPacking = (values: readonly number[], takes: readonly Take[], room: number) =>
  values.flatMap((value, item) => {
    const take = takes[item] as Take;
    const most = fitting(take, room);
    return value > 1e-12 && most > 0 ? [{ item, value, take, most }] : [];
  });

/**
 * Packs items by dynamic programming: exact, and steady where a search would run wild, since near the end of column
 * generation every item is worth about its length.
 * @param takes whole units, positive
 * @param bounds how many of each there are
 */
export function pack(
  values: readonly number[],
  takes: readonly Take[],
  bounds: readonly number[],
  room: number,
): Packing {
  const best = new Float64Array(room + 1);
  const stages = worthPacking(values, takes, room).flatMap(({ item, value, take, most }) => {
    const bound = Math.min(bounds[item] ?? 0, most);
    return take.start > 0
      ? countStage(best, item, value, take, bound)
      : lotsUpTo(bound).map((many) => lotStage(best, item, value * many, taken(take, many), many));
  });
  return packingOf(best, stages, values.length);
}

/**
 * The same with as many of each item as fit: several times quicker, never worth less, and so a bound on the bounded one.
 */
export function packFreely(values: readonly number[], takes: readonly Take[], room: number): Packing {
  const best = new Float64Array(room + 1);
  const stages = worthPacking(values, takes, room).map(({ item, value, take, most }) =>
    take.start > 0 ? countStage(best, item, value, take, most) : freeStage(best, item, value, take.each),
  );
  return packingOf(best, stages, values.length);
}
