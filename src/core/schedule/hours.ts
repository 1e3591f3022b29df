/** A stretch of time, minutes from the midnight that a schedule begins at. */
export interface Stretch {
  from: number;
  to: number;
}

export const DAY = 24 * 60;

/** When a lathe is worked at, in order and apart; and how much work lies before each stretch. */
export interface WorkTime {
  stretches: readonly Stretch[];
  /** Minutes of work before each stretch, and in all. */
  before: readonly number[];
}

/** Work time of stretches that come in order; what touches is one. */
export function workTime(stretches: readonly Stretch[]): WorkTime {
  const apart: Stretch[] = [];
  for (const { from, to } of stretches) {
    const last = apart.at(-1);
    if (last && from <= last.to) last.to = Math.max(last.to, to);
    else if (to > from) apart.push({ from, to });
  }
  const before = [0];
  for (const { from, to } of apart) before.push((before.at(-1) ?? 0) + to - from);
  return { stretches: apart, before };
}

/** The last stretch that begins at or before what is asked for; −1 before the first. */
function lastAt<T>(all: readonly T[], of: (one: T) => number, value: number): number {
  let [low, high] = [0, all.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (of(all[middle] as T) <= value) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/** Minutes of work that lie before a moment. */
export function workedBy({ stretches, before }: WorkTime, at: number): number {
  const index = lastAt(stretches, ({ from }) => from, at);
  const stretch = stretches[index];
  return stretch ? (before[index] ?? 0) + Math.min(at, stretch.to) - stretch.from : 0;
}

/**
 * When so many minutes of work are over that are begun at a moment; Infinity when the hours end before.
 * @param minutes 0 gives the first moment at which anybody works
 */
export function workedFrom(time: WorkTime, at: number, minutes: number): number {
  const { stretches, before } = time;
  const wanted = workedBy(time, at) + minutes;
  if (wanted > (before.at(-1) ?? 0) + 1e-9) return Infinity;
  if (minutes <= 0) {
    const here = stretches.find(({ to }) => to > at + 1e-9);
    return here ? Math.max(at, here.from) : Infinity;
  }
  // Work that ends with a stretch ends there, not where the next begins.
  const index = lastAt(before.slice(0, -1), (value) => value + 1e-9, wanted);
  const stretch = stretches[Math.max(0, index)] as Stretch;
  return stretch.from + wanted - (before[Math.max(0, index)] ?? 0);
}

/** The stretches in which work goes on between two moments. */
export const workedBetween = ({ stretches }: WorkTime, from: number, to: number): Stretch[] =>
  stretches.flatMap((stretch) => {
    const part = { from: Math.max(from, stretch.from), to: Math.min(to, stretch.to) };
    return part.to - part.from > 1e-9 ? [part] : [];
  });
