/** A size of one piece, with whether something was corrected after it. */
export interface Measurement {
  piece: number;
  size: number;
  correctedAfter: boolean;
}

/** Where the sizes of a run are going (trade: At the lathe). */
export interface Trend {
  /** Drift a piece, mm; by least squares over the readings since the last correction. */
  perPiece: number;
  /** The limit that is neared, and before which piece it is met if nothing is done. */
  towards: 'lower' | 'upper';
  metAt: number;
  /** What to move the size by, mm, to come back to the target. */
  correction: number;
}

/** So many readings are looked at, and so many of their steps must go one way. */
const LOOKED_AT = 8;
const ONE_WAY = 6;
/** A line is drawn through so many at least. */
const LEAST = 4;

/** The readings since the last correction, the last few of them. */
function sinceCorrection(readings: readonly Measurement[]): readonly Measurement[] {
  const last = readings.findLastIndex(({ correctedAfter }) => correctedAfter);
  return readings.slice(last + 1).slice(-LOOKED_AT);
}

function lineThrough(readings: readonly Measurement[]): { slope: number; at: (piece: number) => number } {
  const mean = (of: (reading: Measurement) => number) =>
    readings.reduce((total, reading) => total + of(reading), 0) / readings.length;
  const [x, y] = [mean(({ piece }) => piece), mean(({ size }) => size)];
  const spread = readings.reduce((total, { piece }) => total + (piece - x) ** 2, 0);
  const slope =
    spread === 0 ? 0 : readings.reduce((total, { piece, size }) => total + (piece - x) * (size - y), 0) / spread;
  return { slope, at: (piece) => y + slope * (piece - x) };
}

/** Most steps go one way: 6 of 7 of the last 8. */
function goesOneWay(readings: readonly Measurement[]): boolean {
  if (readings.length < LOOKED_AT) return false;
  const steps = readings.slice(1).map(({ size }, index) => Math.sign(size - (readings[index]?.size ?? size)));
  return [1, -1].some((way) => steps.filter((step) => step === way).length >= ONE_WAY);
}

/**
 * A trend of a size: most of the last readings go one way, or the line through them meets a limit before it is measured next.
 * @param every pieces until it is measured again
 */
export function trendOf(
  readings: readonly Measurement[],
  { target, lower, upper }: { target: number; lower: number; upper: number },
  every: number,
): Trend | undefined {
  const looked = sinceCorrection(readings);
  const last = looked.at(-1);
  if (!last || looked.length < LEAST) return undefined;
  const { slope, at } = lineThrough(looked);
  if (slope === 0) return undefined;
  const limit = slope > 0 ? upper : lower;
  const now = at(last.piece);
  const metAt = last.piece + (limit - now) / slope;
  if (!goesOneWay(looked) && metAt > last.piece + every) return undefined;
  return {
    perPiece: slope,
    towards: slope > 0 ? 'upper' : 'lower',
    metAt: Math.floor(metAt),
    correction: target - now,
  };
}

/** How well a process keeps its limits: what there is between the mean and the nearer limit, in three spreads. */
export interface Capability {
  count: number;
  mean: number;
  spread: number;
  cpk: number;
}

/** Fewer readings say nothing of it (trade: At the lathe). */
const ENOUGH = 25;

/** Capability of a size; undefined under 25 readings or without any spread. */
export function capabilityOf(
  sizes: readonly number[],
  { lower, upper }: { lower: number; upper: number },
): Capability | undefined {
  const count = sizes.length;
  if (count < ENOUGH) return undefined;
  const mean = sizes.reduce((total, size) => total + size, 0) / count;
  const spread = Math.sqrt(sizes.reduce((total, size) => total + (size - mean) ** 2, 0) / (count - 1));
  return spread === 0 ? undefined : { count, mean, spread, cpk: Math.min(upper - mean, mean - lower) / (3 * spread) };
}
