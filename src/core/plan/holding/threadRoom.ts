import type { Feature } from '../../model/part/feature';
import type { Part } from '../../model/part/part';
import type { Setup } from '../../model/plan/setup';
import { CLOSE } from '../../model/tolerances';
import { threadDepth } from '../../model/part/thread';
import { finishedPart } from '../../model/workpiece/finishedPart';
import { largestRadius, radiusAt } from '../../model/workpiece/profile';

/** How far below its core a relief may stand and still let the tool leave, mm: arithmetic of a drawing's rounding. */
const NEARLY = 0.05;

/** Whether the plain cylinder that a thread is cut on goes on behind it for so long: there its last turns run out. */
const goesOn = ({ z0, z1 }: Feature, part: Part, needed: number): boolean => {
  const { outside } = finishedPart(part);
  const radius = largestRadius(outside, (z0 + z1) / 2, z1);
  return (
    z1 + needed <= part.length + CLOSE &&
    Math.abs(largestRadius(outside, z1, z1 + needed) - radius) < CLOSE &&
    Math.abs(radiusAt(outside, z1 + needed - CLOSE) - radius) < CLOSE
  );
};

/**
 * Whether the tool of an outside thread has room to leave at its end: a run-out said on the drawing, a relief down to the
 * core (trade: Order, RELIEF-FIRST), or a plain cylinder that goes on. z of the view: the thread is cut towards its far end.
 * @param times how many pitches the tool needs
 */
export function hasRoomToLeave(feature: Feature, part: Part, times: number): boolean {
  const { thread, z1 } = feature;
  if (!thread || z1 > part.length - 1e-6) return true;
  const needed = times * thread.pitch;
  if ((thread.runOut ?? 0) >= needed - 1e-6 || goesOn(feature, part, needed)) return true;
  const core = thread.diameter / 2 - threadDepth(thread);
  // The corners of a relief may be rounded: its middle half is what counts.
  return largestRadius(finishedPart(part).outside, z1 + needed / 4, z1 + (3 * needed) / 4) <= core + NEARLY;
}

/**
 * Where the tip of a threading tool comes to stand in the relief behind a thread: in its middle, or so far before a larger
 * diameter that the flank of the tool, which stands slanting over its tip, stays clear of it. z of the view, mm.
 * @param times how many pitches the tool is given @param point the angle of its tip, degrees
 */
export function leavesAt(
  { thread, z1 }: Feature,
  { part, turned, outerRadius }: Pick<Setup, 'part' | 'turned' | 'outerRadius'>,
  times: number,
  point: number,
): number {
  if (!thread) return z1;
  const core = thread.diameter / 2 - threadDepth(thread);
  const slant = Math.tan((point * Math.PI) / 360);
  // What is not turned here stands as wide as the stock.
  const radiusOf = ({ path, diameter }: Part['steps'][number]) =>
    turned.some((step) => step.path === path) ? diameter.nominal / 2 : outerRadius;
  const clear = part.steps
    .filter(({ zFrom }) => zFrom >= z1 - CLOSE)
    .map((step) => step.zFrom - Math.max(0, radiusOf(step) - core) * slant);
  return Math.max(z1, Math.min(z1 + (times * thread.pitch) / 2, ...clear));
}
