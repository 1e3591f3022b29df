import { radiusAt } from '../../model/workpiece/profile';
import type { Workpiece } from '../../model/workpiece/workpiece';
import { isBetweenCentres, type Setup } from '../../model/plan/setup';

/** A centre is a cone of 60°: it grows by so much before the face that it stands in. */
const RISE = Math.tan(Math.PI / 6);

/** How far a nose of 1 mm reaches towards such a cone before the slope behind it, which lies along the cone, goes on. */
const NOSE = 1 + Math.sin(Math.PI / 6) - (1 - Math.cos(Math.PI / 6)) / RISE;

/** A centre in the end of the work: where its cone begins, and how wide. z of the set-up, mm. */
interface Cone {
  face: number;
  hole: number;
}

function coneOf({ outside, bore }: Workpiece, setup: Setup): Cone | undefined {
  const face = outside[0]?.z0;
  if (face === undefined || !(setup.supported || isBetweenCentres(setup))) return undefined;
  return { face, hole: radiusAt(bore, face + 1e-6) };
}

/** How far before a place a tool may begin at a radius: the usual approach, or what the centre leaves it room for, mm. */
export function approachTo(radius: number, nose: number, work: Workpiece, setup: Setup): number {
  const { approach, centreClear } = setup.run.shop.allowances;
  const cone = coneOf(work, setup);
  if (!cone) return approach;
  return Math.min(approach, Math.max(0, (radius - cone.hole - centreClear) / RISE - NOSE * nose));
}

/**
 * How far down beside a flank an edge may reach before it meets a centre, mm along it.
 * @param low where the flank begins @param along and @param down how far a millimetre of the edge goes along the axis and inwards
 */
export function reachBeside(
  low: { z: number; r: number },
  { along, down }: { along: number; down: number },
  work: Workpiece,
  setup: Setup,
): number {
  const cone = coneOf(work, setup);
  if (!cone) return Infinity;
  const { centreClear } = setup.run.shop.allowances;
  return Math.max(0, (low.r - cone.hole - centreClear + (low.z - cone.face) * RISE) / (down + along * RISE));
}
