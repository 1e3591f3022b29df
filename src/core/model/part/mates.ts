import { andThen, collect, good, type Result } from '../result';
import type { FitPurpose, FitPair } from '../shop/shop';
import { fitDeviations, gradeOf, type Deviations } from './tolerance';

/** A hole and a shaft of one nominal size together, mm. Less than nothing is interference. */
export interface Mated {
  hole: Deviations;
  shaft: Deviations;
  /** The tightest and the loosest that two good pieces can come together. */
  least: number;
  most: number;
  kind: 'clearance' | 'transition' | 'interference';
}

/** How two mates come together: the smallest hole on the largest shaft, and the other way round. */
export function mate(hole: Deviations, shaft: Deviations): Mated {
  const [least, most] = [hole.lower - shaft.upper, hole.upper - shaft.lower];
  const kind = least >= -1e-9 ? 'clearance' : most <= 1e-9 ? 'interference' : 'transition';
  return { hole, shaft, least, most, kind };
}

/** A pair of fits offered for a purpose, at a size. */
export interface OfferedFit extends Mated {
  names: FitPair;
  /** Whether the machine holds the side that is made here. */
  held: boolean;
}

/**
 * The fits that the shop offers for a purpose at a nominal size, with the limits of both mates (trade: Cutting, Tables).
 * @param nominal mm
 * @param making the side that is turned or bored here
 * @param finestGrade the finest grade that the machine holds
 * @returns the pairs, or why the tables have none for this size
 */
export const offerFits = (
  { pairs }: FitPurpose,
  nominal: number,
  making: 'hole' | 'shaft',
  finestGrade: number,
): Result<OfferedFit[]> =>
  collect(
    pairs.map((pair) =>
      andThen(fitDeviations(pair.hole, nominal, 'size'), (hole) =>
        andThen(fitDeviations(pair.shaft, nominal, 'size'), (shaft) => {
          const made = making === 'hole' ? hole : shaft;
          const held = gradeOf(made.upper - made.lower, nominal) >= finestGrade;
          return good({ names: pair, ...mate(hole, shaft), held });
        }),
      ),
    ),
  );
