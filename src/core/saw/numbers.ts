/** Numbers from 0 to 1 that look like chance and come out the same every time (a textbook generator). */
export function numbers(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}
