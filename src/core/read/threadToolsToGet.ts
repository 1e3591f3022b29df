import type { Part } from '../model/part/part';
import type { Feature, Thread } from '../model/part/feature';
import { tapDrill, threadDepth } from '../model/part/thread';
import { standsOut } from '../model/shop/boringBar';
import { minorLimits } from '../model/part/threadLimits';
import { hasRoomToLeave, threadSeen, wayOut } from '../model/part/threadRoom';
import type { CuttingValues, Tool } from '../model/shop/shop';
import { die, drill, insideThreadTool, tap } from '../model/shop/toolSets';
import { CLOSE } from '../model/tolerances';
import { BAR_OUT, sizesOf, withinReach } from './toolsInReach';

/** Whether a tap or die cuts a thread. */
const cuts =
  (thread: Thread) =>
  ({ diameter = 0, pitch = 0, hand }: Tool): boolean =>
    (hand === 'left') === (thread.hand === 'left') &&
    Math.abs(diameter - thread.diameter) < 0.01 &&
    Math.abs(pitch - thread.pitch) < CLOSE;

/** Taps for threads of the drawing that none of the list cuts. */
export function taps({ features }: Part, tools: readonly Tool[]): Tool[] {
  const listed = tools.filter(({ does }) => does.includes('tap'));
  return features.flatMap(({ kind, thread }) => {
    if (kind !== 'tap' || !thread) return [];
    return listed.some(cuts(thread)) || !withinReach(sizesOf(listed, 'tap'), thread.diameter) ? [] : [tap(thread)];
  });
}

/** Drills for core holes that none of the list leaves between the least and the most of a thread: to a tenth of a mm. */
export function tapDrills({ features }: Part, tools: readonly Tool[], { tapDrillOver }: CuttingValues): Tool[] {
  const sizes = sizesOf(tools, 'drill');
  return features.flatMap(({ kind, thread }) => {
    if (kind !== 'tap' || !thread) return [];
    const usual = tapDrill(thread);
    const { least, most } = minorLimits(thread) ?? { least: usual, most: usual + tapDrillOver * thread.pitch };
    const diameter = Math.ceil(10 * Math.max(usual, least) - CLOSE) / 10;
    const isThere = sizes.some((hole) => hole >= Math.max(usual, least) - CLOSE && hole <= most + CLOSE);
    return isThere || diameter > most + CLOSE || !withinReach(sizes, diameter) ? [] : [drill(diameter)];
  });
}

/** Whether a threading tool finds no room to leave where a thread ends that begins at an end of the part. */
function endsAgainstMetal(feature: Feature, part: Part, times: number, tool: Tool | undefined): boolean {
  const seen = threadSeen(feature, part);
  return seen.feature.z0 < CLOSE && !hasRoomToLeave(seen.feature, seen.part, times, tool);
}

/** Dies for threads that end against metal, where the lathe cuts none: none of the list cuts them, and the house has dies so large. */
export function dies(part: Part, tools: readonly Tool[], { threadEndTimes, dieUpTo }: CuttingValues): Tool[] {
  const listed = tools.filter(({ does }) => does.includes('die'));
  const pointed = tools.find(({ does }) => does.includes('thread'));
  return part.features.flatMap((feature) => {
    const { thread, bore } = feature;
    if (!thread || bore || thread.diameter > dieUpTo + CLOSE || listed.some(cuts(thread))) return [];
    const isIn = withinReach(sizesOf(listed, 'die'), thread.diameter);
    return isIn && endsAgainstMetal(feature, part, threadEndTimes, pointed) ? [die(thread)] : [];
  });
}

/** Half of its angle for one of 60°. */
const FLANK = Math.tan(Math.PI / 6);

/** Threading tools whose side has room at a thread's end where those of the list are too wide, and the house has no die so large. */
export function narrowThreadTools(part: Part, tools: readonly Tool[], cutting: CuttingValues): Tool[] {
  const listed = tools.filter(({ does, point }) => does.includes('thread') && point === 60);
  const [first] = listed;
  return part.features.flatMap((feature) => {
    const { thread, bore } = feature;
    if (!first || !thread || bore || thread.diameter <= cutting.dieUpTo + CLOSE) return [];
    const seen = threadSeen(feature, part);
    const hasRoom = (tool: Tool) => wayOut(seen.feature, seen.part, cutting, tool) !== undefined;
    if (listed.some(hasRoom)) return [];
    // By tenths, the stoutest that has room; narrower than its own flank none is.
    for (let tenths = Math.floor(10 * (first.ahead ?? 0)); tenths / 10 >= threadDepth(thread) * FLANK; tenths -= 1) {
      const ahead = tenths / 10;
      const name = `${first.name} ground to ${ahead} beside its tip`;
      const ground = { ...first, id: `${first.id}-${ahead}`, name, ahead };
      if (hasRoom(ground)) return [ground];
    }
    return [];
  });
}

/** The stoutest bar that an inside threading tool is got with, mm, and how much slimmer than its room it is (ours). */
const WIDEST_BAR = 12;
const SLIM = 0.9;

/** Tools for threads in a bore that are cut along the leadscrew, where none of the list goes in, reaches their root and goes so deep. */
export function insideThreadTools(
  { features }: Part,
  tools: readonly Tool[],
  { threadEndTimes }: CuttingValues,
): Tool[] {
  return features.flatMap(({ kind, thread, size, z0, z1 }) => {
    if (kind !== 'inner-thread' || !thread || !size) return [];
    // Its point goes in as deep as the thread, and is drawn back as far.
    const proud = thread.diameter - size.nominal;
    const deep = 5 * Math.ceil((z1 - z0 + 2 * threadEndTimes * thread.pitch) / 5);
    const isThere = tools.some(
      (tool) =>
        tool.does.includes('inner-thread') &&
        (tool.least ?? Infinity) <= size.nominal + CLOSE &&
        standsOut(tool) >= proud - CLOSE &&
        (tool.deep ?? 0) >= deep - CLOSE,
    );
    const diameter = Math.min(WIDEST_BAR, Math.floor(SLIM * (size.nominal - 2 * proud)));
    if (isThere || deep > BAR_OUT * diameter) return [];
    return [insideThreadTool({ diameter, least: size.nominal, deep, ahead: Number((proud * FLANK).toFixed(2)) })];
  });
}
