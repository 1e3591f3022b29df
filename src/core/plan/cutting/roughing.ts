import type { Limit } from '../../model/plan/passLoad';
import { cuttingForce } from './force';
import { deepestWithin, type CutLimits } from './limits';
import { cuttingSpeed, minutesAlong, type ByHand } from './speed';

/** One diameter to rough: what comes off, and everything that it may be done with. */
export interface Roughing {
  /** To come off a side, mm. */
  perSide: number;
  /** The thinnest cut that the edge takes, mm. */
  thinnest: number;
  /** The diameter that is cut first, mm. */
  diameter: number;
  /** What the feed covers in a pass, mm, and minutes of handling for each. */
  way: number;
  handling: number;
  /** What the machine has, up to what is wanted; rising. */
  speeds: readonly number[];
  feeds: readonly number[];
  /** Specific force and exponent of the material, and the approach angle, degrees. */
  material: { kc: number; m: number };
  approachAngle: number;
  limits: CutLimits;
  /** Into a shoulder: fed no faster by power, mm/min, and the last of it by hand. */
  shoulder?: ByHand & { most: number };
}

/** So many equal passes at a feed and a speed of the machine. */
export interface RoughingCuts {
  passes: number;
  feed: number;
  speed: number;
  /** What keeps it from fewer passes. */
  limitedBy: Limit;
  minutes: number;
}

/** The quickest cuts, and what keeps the usual feed and speed from being it, where it is not. */
export interface QuickestCuts extends RoughingCuts {
  heldBackBy?: Limit;
}

/** The deepest cut at a feed and a speed. */
export function deepestAt({ diameter, material, approachAngle, limits }: Roughing, feed: number, speed: number) {
  const force = cuttingForce({ ...material, feed, depth: 1, approachAngle });
  return deepestWithin(limits, force, cuttingSpeed(speed, diameter));
}

/** What one cut takes at a feed and a speed, minutes. */
function onePass({ way, handling, shoulder }: Roughing, feed: number, speed: number): number {
  const last = shoulder && feed * speed > shoulder.feed ? shoulder : undefined;
  return minutesAlong(way, feed, speed, last) + handling;
}

/** The cuts at one feed and speed; undefined where a pass would be thinner than the edge cuts. */
export function cutsAt(roughing: Roughing, feed: number, speed: number): RoughingCuts | undefined {
  const { perSide, thinnest } = roughing;
  const { depth, limit } = deepestAt(roughing, feed, speed);
  const passes = Math.ceil(perSide / depth - 1e-9);
  if (passes > 1 && perSide / passes < thinnest - 1e-9) return undefined;
  const limitedBy = passes === 1 ? 'stock' : limit;
  return { passes, feed, speed, limitedBy, minutes: passes * onePass(roughing, feed, speed) };
}

/**
 * The cuts that take the fewest minutes within all limits, of every feed and speed that the machine has; of two as quick
 * the one that feeds faster.
 * @returns undefined where no cut that the edge takes is within them
 */
export function fewestMinutes(roughing: Roughing): QuickestCuts | undefined {
  const { shoulder, feeds, speeds } = roughing;
  const most = shoulder?.most ?? Infinity;
  const [feed = 0, fastestSpeed = 0] = [feeds.at(-1), speeds.at(-1)];
  const speed = speeds.findLast((turned) => turned * feed <= most + 1e-9) ?? speeds[0] ?? 0;
  if (feed === 0 || speed === 0) return undefined;
  const fastest = cutsAt(roughing, feed, speed);
  const isFree = fastest?.limitedBy === 'stock' || fastest?.limitedBy === 'material';
  // What only stock or material hold cannot be quicker at less of either.
  if (fastest && isFree && speed === fastestSpeed) return fastest;
  let best = fastest;
  for (const less of [...feeds].reverse())
    for (const slower of [...speeds].reverse()) {
      // A single cut that is no quicker than the best cuts is not divided.
      if (slower * less > most + 1e-9 || (best && onePass(roughing, less, slower) >= best.minutes)) continue;
      const cuts = cutsAt(roughing, less, slower);
      if (cuts && (!best || cuts.minutes < best.minutes - 1e-9)) best = cuts;
    }
  return best && { ...best, ...(isFree ? {} : { heldBackBy: deepestAt(roughing, feed, speed).limit }) };
}
