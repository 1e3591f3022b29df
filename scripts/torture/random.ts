/** Numbers that come out the same for the same seed (a textbook generator), and what is drawn with them. */
export interface Random {
  /** From 0 up to 1. */
  next(): number;
  between(from: number, to: number): number;
  whole(from: number, to: number): number;
  one<T>(list: readonly T[]): T;
  often(share: number): boolean;
}

export function randomOf(seed: number): Random {
  let state = (seed * 2654435761) % 2147483647 || 1;
  const next = () => (state = (state * 16807) % 2147483647) / 2147483647;
  for (let warm = 0; warm < 5; warm += 1) next();
  return {
    next,
    between: (from, to) => from + next() * (to - from),
    whole: (from, to) => from + Math.floor(next() * (to - from + 1)),
    one: (list) => list[Math.floor(next() * list.length)] as never,
    often: (share) => next() < share,
  };
}
