/** What of a size is to be measured on which pieces. */
export interface Sampled {
  /** Every how many pieces, by how close it is and how it drifts. */
  every: number;
}

/** What makes the next piece be measured whatever the interval says. */
export interface Since {
  /** Pieces that were measured. */
  measured: readonly number[];
  /** The first piece after an edge, a bar or a break, where there was one. */
  freshFrom?: number;
}

/** Whether a size of a piece is due (trade: Measuring): the first, every n-th, and the next after an edge, a bar or a break. */
export function isDue(piece: number, { every }: Sampled, { measured, freshFrom }: Since): boolean {
  if (measured.includes(piece)) return false;
  if (measured.length === 0) return true;
  const last = Math.max(...measured.filter((other) => other < piece), 0);
  if (freshFrom !== undefined && freshFrom <= piece && last < freshFrom) return true;
  return piece - last >= every;
}
