import type { Feature } from '../part/feature';
import type { Part } from '../part/part';

const CLOSE = 0.001;

/** A feature of the bore that a tool enters from the face of the view; one that goes in at the other end is not. */
const opensHere = ({ bore, from, z0 }: Feature): boolean =>
  bore !== undefined && (from ? from === 'front' : z0 < CLOSE);

/** Whether a bore goes right through. */
export const goesThrough = ({ z0, z1 }: Feature, { length }: Part): boolean => z0 < CLOSE && z1 > length - CLOSE;

/**
 * Features that a set-up gets at: what opens in its face, and what lies on the steps that it turns, or that the bar
 * brought. z of the view.
 * @param turned paths of the steps that the set-up turns
 */
export function reachedFeatures(view: Part, turned: readonly string[]): string[] {
  return view.features
    .filter((feature) => {
      if (feature.bore) return opensHere(feature);
      const under = view.steps.filter(({ zFrom, zTo }) => zFrom < feature.z1 - CLOSE && zTo > feature.z0 + CLOSE);
      return under.length > 0 && under.every(({ path }) => turned.includes(path));
    })
    .map(({ path }) => path);
}

/** Features that some operation makes. */
export function madeFeatures(part: Part, operations: readonly { makes?: string[] }[]): Feature[] {
  const done = new Set(operations.flatMap(({ makes = [] }) => makes));
  return part.features.filter(({ path }) => done.has(path));
}
