import { CLOSE } from '../tolerances';
import { finishedPart } from '../workpiece/finishedPart';
import { clip, radiusAt } from '../workpiece/profile';
import type { Profile } from '../workpiece/segment';
import type { Feature } from './feature';
import type { Part } from './part';

/** How far short of its root a relief may stand and still let the tool leave, mm: arithmetic of a drawing's rounding. */
const NEARLY = 0.05;

/** The narrowest that a bore is between two places, mm; nothing where the metal is whole. */
const narrowest = (bore: Profile, from: number, to: number): number =>
  Math.min(radiusAt(bore, to - CLOSE), ...clip(bore, from, to).flatMap(({ r0, r1 }) => [r0, r1]));

/** How an inside thread ends. */
export type InsideEnd =
  /** In a groove down to its root: the tool comes to stand in its middle. */
  | 'relief'
  /** Drawn out while it turns: in the hole that goes on, or behind the part. */
  | 'runs-out'
  /** The same, in a core that is bored deeper for it. */
  | 'deeper'
  /** The part is not long enough for that. */
  | 'no-room';

/**
 * How the tool of an inside thread leaves at its end (trade: Order, RELIEF-FIRST). z of the view: it is cut from the front.
 * @param times how many pitches the tool needs
 */
export function insideEnd({ thread, bore = [], z1 }: Feature, part: Part, times: number): InsideEnd {
  const needed = times * (thread?.pitch ?? 0);
  if (z1 > part.length - CLOSE) return 'runs-out';
  const { bore: inside } = finishedPart(part);
  const root = (thread?.diameter ?? 0) / 2;
  if (radiusAt(inside, z1 + needed / 4) >= root - NEARLY && radiusAt(inside, z1 + (3 * needed) / 4) >= root - NEARLY)
    return 'relief';
  // In a hole that is no more than the thread deep narrower its last turns run out.
  const core = bore[0]?.r0 ?? 0;
  if (narrowest(inside, z1, z1 + needed) >= core - (root - core) - CLOSE) return 'runs-out';
  // A floor of a pitch at least is left behind it.
  return z1 + needed + (thread?.pitch ?? 0) < part.length + CLOSE ? 'deeper' : 'no-room';
}
