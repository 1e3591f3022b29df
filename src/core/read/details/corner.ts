import type { Surroundings } from '../featureKind';
import { refuse, good, type Result } from '../../model/result';
import { say } from '../../model/words';
import { radiusBeside } from './at';
import { CLOSE } from '../../model/tolerances';

/** A shoulder or an end face: the radii on both sides of it, and which way its outer corner faces. */
export interface Corner {
  z: number;
  /** Radius of the lower and of the higher side; the lower is 0 at an end face. */
  low: number;
  high: number;
  faces: 'front' | 'back';
}

/** Finds the shoulder or end face at a place, or says where the part has any. */
export function cornerAt(z: number, path: string, { outside, edges, length, units }: Surroundings): Result<Corner> {
  const edge = edges.find((figure) => Math.abs(figure - z) < CLOSE);
  if (edge === undefined)
    return refuse(
      path,
      `no step begins or ends at ${say(z, units)}; edges are at ${edges.map((figure) => say(figure, units)).join(', ')}`,
    );
  const before = edge < CLOSE ? 0 : radiusBeside(outside, edge, -1);
  const after = edge > length - CLOSE ? 0 : radiusBeside(outside, edge, 1);
  if (Math.abs(before - after) < 2 * CLOSE)
    return refuse(path, `the diameter does not change at ${say(z, units)}: there is no edge to break`);
  return good({
    z: edge,
    low: Math.min(before, after),
    high: Math.max(before, after),
    faces: before > after ? 'back' : 'front',
  });
}

/** Refuses a side that the corner does not face. */
export const wrongSide = (side: string | undefined, corner: Corner, path: string, units: 'mm' | 'in') =>
  side !== undefined && side !== corner.faces
    ? refuse(path, `the corner at ${say(corner.z, units)} faces the ${corner.faces}, not the ${side}`)
    : undefined;
