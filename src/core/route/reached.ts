import type { Feature } from '../part/feature';
import type { Part } from '../part/part';

const CLOSE = 0.001;

/** A feature of the bore that a tool enters from the face of the view; one from the other end, and one inside, are not. */
const opensHere = ({ bore, z0 }: Feature): boolean => bore !== undefined && z0 < CLOSE;

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

/**
 * Features that some operation makes. A cone or a recess has the path of its step, and turning that step to its cylinder
 * does not make it.
 */
export function madeFeatures(part: Part, operations: readonly { feature: string }[]): Feature[] {
  const done = new Set(operations.map(({ feature }) => feature));
  return part.features.filter(({ path }) => done.has(path) && !part.steps.some((step) => step.path === path));
}
