/** Who comes before whom among a fixed number of things, closed: what follows from two entries is an entry. */
export interface Closure {
  /** Whether `a` comes before `b`, directly or not. */
  precedes(a: number, b: number): boolean;
  /** Enters `a` before `b` and everything that follows from it. Must not be called when b already precedes a. */
  add(a: number, b: number): void;
  /** All that come before `b`, one bit each. */
  mask(b: number): bigint;
}

/** An empty closure over `count` things. Rows of 32-bit words: plans of eighty operations have thousands of entries. */
export function closure(count: number): Closure {
  const words = Math.ceil(count / 32);
  const rows = new Uint32Array(count * words);
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
