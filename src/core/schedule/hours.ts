/** A stretch of time, minutes from the midnight that a schedule begins at. */
export interface Stretch {
  from: number;
  to: number;
}

export const DAY = 24 * 60;

/** When a lathe is worked at, in order and apart; and how much work lies before each stretch. */
export interface WorkTime {
  stretches: readonly Stretch[];
  /** When each begins. */
  begins: readonly number[];
  /** Minutes of work before each stretch. */
  before: readonly number[];
  /** Minutes of work in all. */
  whole: number;
}

/** Work time of stretches that come in order; what touches is one. */
export function workTime(stretches: readonly Stretch[]): WorkTime {
  const apart: Stretch[] = [];
  for (const { from, to } of stretches) {
    const last = apart.at(-1);
    if (last && from <= last.to) last.to = Math.max(last.to, to);
    else if (to > from) apart.push({ from, to });
  }
  let whole = 0;
  const before = apart.map(({ from, to }) => {
    const here = whole;
    whole += to - from;
    return here;
  });
  return { stretches: apart, begins: apart.map(({ from }) => from), before, whole };
}

/** Place of the last figure, of some that rise, that is at most what is asked for; −1 before the first. */
function lastAtMost(figures: readonly number[], value: number): number {
  let [low, high] = [0, figures.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((figures[middle] as number) <= value) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/** Minutes of work that lie before a moment. */
export function workedBy({ stretches, begins, before }: WorkTime, at: number): number {
  const index = lastAtMost(begins, at);
  const stretch = stretches[index];
  return stretch ? (before[index] ?? 0) + Math.min(at, stretch.to) - stretch.from : 0;
}

/**
 * When so many minutes of work are over that are begun at a moment; Infinity when the hours end before.
 * @param minutes 0 gives the first moment at which anybody works
 */
export function workedFrom(time: WorkTime, at: number, minutes: number): number {
  const { stretches, begins, before, whole } = time;
  if (minutes <= 0) {
    const begun = lastAtMost(begins, at);
    const here = stretches[begun];
    return here && here.to > at + 1e-9 ? at : (begins[begun + 1] ?? Infinity);
  }
  const wanted = workedBy(time, at) + minutes;
  if (wanted > whole + 1e-9) return Infinity;
  // Work that ends with a stretch ends there, not where the next begins.
  const index = Math.max(0, lastAtMost(before, wanted - 1e-9));
  return (begins[index] as number) + wanted - (before[index] as number);
}

/** Moments strictly between two at which work begins or ends. */
export function edgesBetween({ stretches, begins }: WorkTime, from: number, to: number): number[] {
  const edges: number[] = [];
  for (let index = Math.max(0, lastAtMost(begins, from)); index < stretches.length; index++) {
    const stretch = stretches[index] as Stretch;
    if (stretch.from >= to) break;
    for (const at of [stretch.from, stretch.to]) if (at > from && at < to) edges.push(at);
  }
  return edges;
}

/** The stretches in which work goes on between two moments. */
export const workedBetween = ({ stretches }: WorkTime, from: number, to: number): Stretch[] =>
  stretches.flatMap((stretch) => {
    const part = { from: Math.max(from, stretch.from), to: Math.min(to, stretch.to) };
    return part.to - part.from > 1e-9 ? [part] : [];
  });
