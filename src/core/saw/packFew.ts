import type { Take } from './cutList';

/** A filling and what its pieces are worth together. */
export interface WorthFilling {
  value: number;
  counts: number[];
}

/** The most pieces of a bar, and in all, for which every pair of pieces is looked at. */
const MOST_ON_A_BAR = 4;
const MOST_PIECES = 1500;

/** Pieces one by one, the longest first, as far as they are worth anything and fit. */
interface Pieces {
  item: number[];
  each: number[];
  value: number[];
}

function piecesOf(values: readonly number[], takes: readonly Take[], demands: readonly number[], room: number): Pieces {
  const pieces: Pieces = { item: [], each: [], value: [] };
  const order = [...values.keys()].sort((a, b) => (takes[b]?.each ?? 0) - (takes[a]?.each ?? 0));
  for (const item of order) {
    const [value, each] = [values[item] ?? 0, takes[item]?.each ?? 0];
    if (value <= 1e-12 || each > room) continue;
    const many = Math.min(demands[item] ?? 0, Math.floor(room / each));
    for (let count = 0; count < many; count += 1) {
      pieces.item.push(item);
      pieces.each.push(each);
      pieces.value.push(value);
    }
  }
  return pieces;
}

/**
 * Where a bar holds four pieces at most, the best filling for each piece that may be its longest: all pairs of a longest
 * and a second piece, with the best that is shorter than both in what is left of the room. One pass gives a filling for
 * every length, which packing as such does not.
 * @returns undefined where a bar holds more, or there are too many pieces
 */
export function packFew(
  values: readonly number[],
  takes: readonly Take[],
  demands: readonly number[],
  room: number,
): WorthFilling[] | undefined {
  if (takes.some(({ start }) => start > 0)) return undefined;
  const { item, each, value } = piecesOf(values, takes, demands, room);
  const many = item.length;
  const least = each[many - 1] ?? room;
  if (many > MOST_PIECES || Math.floor(room / least) > MOST_ON_A_BAR) return undefined;
  // The best of one and of two pieces after the second, by the room for them; and which they are.
  const [one, two] = [new Float64Array(room + 1), new Float64Array(room + 1)];
  const [oneIs, twoAre] = [new Int16Array(room + 1).fill(-1), new Int32Array(room + 1).fill(-1)];
  const best = Float64Array.from(value);
  const rest: number[][] = item.map(() => []);
  for (let second = many - 1; second >= 0; second -= 1) {
    const [size, worth] = [each[second] as number, value[second] as number];
    for (let first = second - 1; first >= 0; first -= 1) {
      const left = room - size - (each[first] as number);
      if (left < 0) break;
      const pair = (value[first] as number) + worth;
      const [third, both] = [one[left] as number, two[left] as number];
      const sum = pair + Math.max(third, both);
      if (sum <= (best[first] as number) + 1e-12) continue;
      best[first] = sum;
      const code = twoAre[left] as number;
      rest[first] =
        both > third
          ? [second, Math.floor(code / many), code % many]
          : third > 0
            ? [second, oneIs[left] as number]
            : [second];
    }
    let lowest = room + 1;
    for (let other = second + 1; other < many; other += 1) {
      const at = size + (each[other] as number);
      const sum = worth + (value[other] as number);
      if (at > room || sum <= (two[at] as number)) continue;
      two[at] = sum;
      twoAre[at] = second * many + other;
      lowest = Math.min(lowest, at);
    }
    for (let at = lowest + 1; at <= room; at += 1)
      if ((two[at] as number) < (two[at - 1] as number)) {
        two[at] = two[at - 1] as number;
        twoAre[at] = twoAre[at - 1] as number;
      }
    for (let at = size; at <= room && (one[at] as number) < worth; at += 1) {
      one[at] = worth;
      oneIs[at] = second;
    }
  }
  return item.map((_, first) => {
    const counts = values.map(() => 0);
    for (const piece of [first, ...(rest[first] ?? [])])
      counts[item[piece] as number] = (counts[item[piece] as number] ?? 0) + 1;
    return { value: best[first] as number, counts };
  });
}
