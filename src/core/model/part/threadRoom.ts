import type { Feature } from './feature';
import { turnRound, type Part } from './part';
import type { Setup } from '../plan/setup';
import type { CuttingValues, Tool } from '../shop/shop';
import { CLOSE } from '../tolerances';
import { threadDepth } from './thread';
import { finishedPart } from '../workpiece/finishedPart';
import { largestRadius, radiusAt } from '../workpiece/profile';

/** A thread as it is cut, and the part with it: towards the back, but from the back end where it only goes to that. */
export function threadSeen(feature: Feature, part: Part): { feature: Feature; part: Part } {
  if (feature.z0 < CLOSE || feature.z1 < part.length - CLOSE) return { feature, part };
  const turned = turnRound(part);
  const seen = turned.features.find(({ path }) => path === feature.path);
  return { feature: seen ?? feature, part: turned };
}

/** How far below its core a relief may stand and still let the tool leave, mm: arithmetic of a drawing's rounding. */
const NEARLY = 0.05;

/** Whether a relief down to the core stands behind a thread; its corners may be rounded, so that its middle half is what counts. */
export function hasRelief({ thread, z1 }: Feature, part: Part, times: number): boolean {
  if (!thread) return false;
  const needed = times * thread.pitch;
  const core = thread.diameter / 2 - threadDepth(thread);
  return largestRadius(finishedPart(part).outside, z1 + needed / 4, z1 + (3 * needed) / 4) <= core + NEARLY;
}

/** Whether nothing behind a thread stands wider than it for so long: there its last turns run out. */
function isFree({ z0, z1 }: Feature, part: Part, needed: number): boolean {
  const { outside } = finishedPart(part);
  return (
    z1 + needed <= part.length + CLOSE &&
    largestRadius(outside, z1, z1 + needed) <= largestRadius(outside, (z0 + z1) / 2, z1) + CLOSE
  );
}

/** Whether the plain cylinder that a thread is cut on goes on behind it for so long. */
const goesOn = (feature: Feature, part: Part, needed: number): boolean => {
  const { z0, z1 } = feature;
  const { outside } = finishedPart(part);
  const radius = largestRadius(outside, (z0 + z1) / 2, z1);
  return isFree(feature, part, needed) && Math.abs(radiusAt(outside, z1 + needed - CLOSE) - radius) < CLOSE;
};

/** How far ahead of its tip a threading tool stands at a height over it: its flank slants as far as its side. mm */
const aheadAt = (over: number, { point = 60, ahead = Infinity }: Tool): number =>
  Math.min(Math.max(0, over) * Math.tan((point * Math.PI) / 360), ahead);

/**
 * How far before something larger a thread must end, mm, where no relief ends it: so far ahead stands its tool, and on it goes while
 * it is drawn out, until its side has come above the larger one.
 * @param over how far the larger one stands over the core
 * @param on how far the thread goes on while the tool is drawn out of it
 */
function offLarger(over: number, on: number, tool: Tool): number {
  const [slanting, ahead] = [aheadAt(over, { ...tool, ahead: Infinity }), aheadAt(over, tool)];
  return ahead + on * (1 - ahead / slanting);
}

/**
 * How much of the plain diameter behind a thread its tool takes where no relief ends it, mm: the turns that run out, and what keeps
 * it off something larger that is too near. z of the view: the thread is cut towards its far end.
 * @param times how many pitches the tool needs
 * @param tool what would cut it
 * @param turns in how many it is drawn out
 */
export function takenBehind(
  { thread, z1 }: Feature,
  part: Part,
  times: number,
  tool: Tool | undefined,
  turns = 1,
): number {
  if (!thread) return 0;
  const { pitch, diameter } = thread;
  const core = diameter / 2 - threadDepth(thread);
  const tooNear = part.steps.flatMap((step) => {
    const isLarger = step.zFrom >= z1 - CLOSE && step.diameter.nominal > diameter + CLOSE;
    const off = isLarger && tool ? offLarger(step.diameter.nominal / 2 - core, turns * pitch, tool) : 0;
    return step.zFrom < z1 + off - CLOSE ? [off] : [];
  });
  return Math.max(times * pitch, ...tooNear);
}

/** The side of a threading tool stays so far from a shoulder, mm (ours). */
const OFF_SHOULDER = 0.1;

/** How far ahead of its tip a threading tool may stand in the relief behind a thread, mm: up to the nearest that is larger. z as above. */
function roomInRelief({ thread, z1 }: Feature, { steps }: Part): number {
  const larger = steps.filter(
    ({ zFrom, diameter }) => zFrom >= z1 - CLOSE && diameter.nominal > (thread?.diameter ?? 0) + CLOSE,
  );
  return Math.min(...larger.map(({ zFrom }) => zFrom - z1)) - OFF_SHOULDER;
}

const fitsIn = (feature: Feature, part: Part, tool: Tool | undefined): boolean =>
  (tool?.ahead ?? 0) <= roomInRelief(feature, part) + CLOSE;

/**
 * Whether the tool of an outside thread has room to leave at its end while it is fed: a run-out said on the drawing where nothing wider stands, a
 * relief down to the core that its side goes into (trade: Order, RELIEF-FIRST), or a plain cylinder that goes on. z of the view, times and tool as above.
 */
export function hasRoomToLeave(feature: Feature, part: Part, times: number, tool: Tool | undefined): boolean {
  const { thread, z1 } = feature;
  if (!thread || z1 > part.length - 1e-6) return true;
  const needed = times * thread.pitch;
  const taken = takenBehind(feature, part, times, tool);
  const isSaid = (thread.runOut ?? 0) >= needed - 1e-6 && isFree(feature, part, taken);
  return isSaid || goesOn(feature, part, taken) || (fitsIn(feature, part, tool) && hasRelief(feature, part, times));
}

/** How a threading tool gets out at the end of its thread: drawn out while it is fed, or with the last turn by hand where there is less room. */
export type WayOut = 'fed' | 'by-hand';

/** What the house says of the room at a thread's end, pitches, and of drawing out by hand, turns. */
type EndRoom = Pick<CuttingValues, 'threadEndTimes' | 'threadEndByHand' | 'drawnByHand'>;

/** How a tool leaves an outside thread, undefined where it has no room to. z of the view. @param tool what would cut it */
export function wayOut(
  feature: Feature,
  part: Part,
  { threadEndTimes, threadEndByHand, drawnByHand }: EndRoom,
  tool: Tool | undefined,
): WayOut | undefined {
  if (hasRoomToLeave(feature, part, threadEndTimes, tool)) return 'fed';
  const isRelieved = fitsIn(feature, part, tool) && hasRelief(feature, part, threadEndByHand);
  return isRelieved || goesOn(feature, part, takenBehind(feature, part, threadEndByHand, tool, drawnByHand))
    ? 'by-hand'
    : undefined;
}

/**
 * Where the tip of a threading tool comes to stand in the relief behind a thread: in its middle, or so far before a larger
 * diameter that the flank of the tool, which stands slanting over its tip as far as its side, stays clear of it. z of the view, mm.
 * @param times how many pitches the tool is given
 */
export function leavesAt(
  { thread, z1 }: Feature,
  { part, turned, outerRadius }: Pick<Setup, 'part' | 'turned' | 'outerRadius'>,
  times: number,
  tool: Tool,
): number {
  if (!thread) return z1;
  const core = thread.diameter / 2 - threadDepth(thread);
  // What is not turned here stands as wide as the stock.
  const radiusOf = ({ path, diameter }: Part['steps'][number]) =>
    turned.some((step) => step.path === path) ? diameter.nominal / 2 : outerRadius;
  const clear = part.steps
    .filter(({ zFrom }) => zFrom >= z1 - CLOSE)
    .flatMap((step) => {
      const over = Math.max(0, radiusOf(step) - core);
      return over > 0 ? [step.zFrom - aheadAt(over, { ...tool, ahead: (tool.ahead ?? Infinity) + OFF_SHOULDER })] : [];
    });
  return Math.max(z1, Math.min(z1 + (times * thread.pitch) / 2, ...clear));
}
