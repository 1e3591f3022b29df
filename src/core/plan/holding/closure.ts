/** Who comes before whom among a fixed number of things, closed: what follows from two entries is an entry. */
export interface Closure {
  /** Whether `a` comes before `b`, directly or not. */
  precedes(a: number, b: number): boolean;
  /** Enters `a` before `b` and everything that follows from it. Must not be called when b already precedes a. */
  add(a: number, b: number): void;
  /** All that come before `b`, one bit each. */
  mask(b: number): bigint;
}

/** One thing before another. */
interface Entry {
  from: number;
  to: number;
}

/** Things in an order that keeps every entry; undefined where entries go round in a circle. */
function sorted(count: number, entries: readonly Entry[]): number[] | undefined {
  const waitsFor = new Array<number>(count).fill(0);
  const after: number[][] = Array.from({ length: count }, () => []);
  for (const { from, to } of entries) {
    after[from]?.push(to);
    waitsFor[to] = (waitsFor[to] ?? 0) + 1;
  }
  const order = waitsFor.flatMap((waits, index) => (waits === 0 ? [index] : []));
  // Written out: the list grows while it is gone through.
  for (let place = 0; place < order.length; place += 1)
    for (const to of after[order[place] ?? 0] ?? []) {
      waitsFor[to] = (waitsFor[to] ?? 0) - 1;
      if (waitsFor[to] === 0) order.push(to);
    }
  return order.length === count ? order : undefined;
}

/**
 * The closure of all entries at once; undefined where they go round in a circle. One walk in order instead of a walk for
 * each entry: who comes before `to` is everybody before `from`, and `from`.
 */
export function closureOf(count: number, entries: readonly Entry[]): Closure | undefined {
  const order = sorted(count, entries);
  if (!order) return undefined;
  const into: number[][] = Array.from({ length: count }, () => []);
  for (const { from, to } of entries) into[to]?.push(from);
  const words = Math.ceil(count / 32);
  const rows = new Uint32Array(count * words);
  for (const to of order)
    for (const from of into[to] ?? []) {
      const at = to * words + (from >>> 5);
      // What is in already brought everything before it.
      if (((rows[at] ?? 0) & (1 << (from & 31))) !== 0) continue;
      for (let word = 0; word < words; word += 1)
        rows[to * words + word] = (rows[to * words + word] ?? 0) | (rows[from * words + word] ?? 0);
      rows[at] = (rows[at] ?? 0) | (1 << (from & 31));
    }
  return closure(count, rows);
}

/**
 * A closure over `count` things, empty but for what is in its rows. Rows of 32-bit words: plans of eighty operations have
 * thousands of entries.
 */
export function closure(count: number, rows = new Uint32Array(count * Math.ceil(count / 32))): Closure {
  const words = Math.ceil(count / 32);
  const has = (row: number, index: number) => ((rows[row * words + (index >>> 5)] ?? 0) & (1 << (index & 31))) !== 0;
  return {
    precedes: (a, b) => has(b, a),
    add(a, b) {
      if (has(b, a)) return;
      for (let row = 0; row < count; row += 1) {
        if (row !== b && !has(row, b)) continue;
        for (let word = 0; word < words; word += 1)
          rows[row * words + word] = (rows[row * words + word] ?? 0) | (rows[a * words + word] ?? 0);
        const at = row * words + (a >>> 5);
        rows[at] = (rows[at] ?? 0) | (1 << (a & 31));
      }
    },
    mask: (b) =>
      Array.from({ length: words }, (_, word) => BigInt(rows[b * words + word] ?? 0) << BigInt(32 * word)).reduce(
        (mask, part) => mask | part,
        0n,
      ),
  };
}
