import type { Stock } from '../../model/plan/stock';
import { CLOSE } from '../../model/tolerances';
import { mirror } from '../../model/workpiece/profile';

/** A cylinder of the stock that can be held: z of a view, mm. */
export interface Stretch {
  diameter: number;
  from: number;
  to: number;
}

/** A bar is alike all along; of a piece as it arrives, every cylinder of it by itself, from the free end on. */
export function stretchesOf({ over, piece }: Stock, end: 'front' | 'back', length: number): Stretch[] {
  if (!piece) return [{ diameter: over, from: -Infinity, to: Infinity }];
  const seen = end === 'front' ? piece.outside : mirror(piece.outside, length);
  const stretches: Stretch[] = [];
  for (const { z0, z1, r0, r1 } of seen) {
    const before = stretches.at(-1);
    if (Math.abs(r0 - r1) > CLOSE) continue;
    if (before && Math.abs(before.diameter - 2 * r0) < CLOSE && Math.abs(before.to - z0) < CLOSE) before.to = z1;
    else stretches.push({ diameter: 2 * r0, from: z0, to: z1 });
  }
  return stretches;
}

/** The cylinder at the far end, by which the stock is held while its free end is worked. */
export const farStretch = (stock: Stock, end: 'front' | 'back', length: number): Stretch =>
  stretchesOf(stock, end, length).at(-1) ?? { diameter: stock.over, from: Infinity, to: Infinity };
