/** Two lists side by side: what belongs together in one row, what stands on one side only alone. */
export type Row<T> = { before?: T; after?: T; from?: number; to?: number };

/**
 * Pairs two lists in order, so that something put in or taken out does not make everything behind it look changed: the
 * alignment of least cost (dynamic programming over both lists, as for the edit distance of two texts).
 * @param unlike how unlike two of them are, from 0 for the same to 1; something alone costs `alone`
 */
export function align<T>(
  before: readonly T[],
  after: readonly T[],
  unlike: (a: T, b: T) => number,
  alone = 0.6,
): Row<T>[] {
  const cost = before.map(() => after.map(() => 0));
  before.forEach((a, i) => after.forEach((b, j) => ((cost[i] as number[])[j] = unlike(a, b))));
  // best[i][j]: least cost of the lists from i and from j on.
  const best = Array.from({ length: before.length + 1 }, () => new Array<number>(after.length + 1).fill(0));
  const at = (i: number, j: number) => best[i]?.[j] ?? Infinity;
  const pair = (i: number, j: number) => (cost[i]?.[j] ?? Infinity) + at(i + 1, j + 1);
  for (let i = before.length; i >= 0; i -= 1)
    for (let j = after.length; j >= 0; j -= 1)
      if (i < before.length || j < after.length)
        (best[i] as number[])[j] = Math.min(pair(i, j), at(i + 1, j) + alone, at(i, j + 1) + alone);
  const rows: Row<T>[] = [];
  for (let i = 0, j = 0; i < before.length || j < after.length;) {
    const [a, b] = [before[i], after[j]];
    if (a !== undefined && b !== undefined && pair(i, j) <= Math.min(at(i + 1, j), at(i, j + 1)) + alone)
      rows.push({ before: a, after: b, from: i++, to: j++ });
    else if (a !== undefined && at(i + 1, j) <= at(i, j + 1)) rows.push({ before: a, from: i++ });
    else rows.push({ after: b as T, to: j++ });
  }
  return rows;
}
