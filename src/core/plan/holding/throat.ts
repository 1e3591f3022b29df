import type { Machine } from '../../model/shop/shop';
import type { Part } from '../../model/part/part';
import type { Stock } from '../../model/plan/stock';
import { goesThrough } from '../reach/reached';
import { CLOSE } from '../../model/tolerances';

/** A stretch of work, how thick it is, and where: z grows into the chuck, mm. */
export interface Thick {
  diameter: number;
  to: number;
}

/**
 * What goes right through a part that is wider than some work: its edge comes out behind, between the jaws.
 * @param isHere whether a feature (by its path) is made so
 * @param behind the end of the work, mm @param clear what stays free between the two
 */
export const throughBores = (
  part: Part,
  isHere: (path: string) => boolean,
  behind: number,
  { asDrawn, breakthrough }: Stock,
  clear: number,
): Thick[] =>
  part.features
    .filter((feature) => feature.bore && isHere(feature.path) && goesThrough(feature, part))
    .filter(({ path }) => !asDrawn.includes(path))
    .map(({ size }) => ({ diameter: size?.aim ?? 0, to: behind + breakthrough + clear }));

/**
 * Where jaws may begin at the least, so that nothing behind them is wider than the spindle lets through: wider work ends
 * between them (trade: Safe holds).
 * @returns z of the same view, mm; anywhere for work that passes
 */
export const jawsFromAtLeast = (work: readonly Thick[], { spindleBore, jaws }: Machine): number =>
  Math.max(-Infinity, ...work.filter(({ diameter }) => diameter > spindleBore + CLOSE).map(({ to }) => to)) -
  jaws.length;
