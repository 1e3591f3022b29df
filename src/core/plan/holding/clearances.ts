import { lowestRadius } from '../../read/details/at';
import { largestRadius, radiusAt, type Segment } from '../../model/workpiece/profile';
import { standsOut } from '../../model/shop/boringBar';
import type { Workpiece } from '../../model/workpiece/workpiece';
import { CLOSE } from '../../model/tolerances';
import { refuse, good, type Result } from '../../model/result';
import { say } from '../../model/words';
import type { Operation } from '../../model/plan/operation';
import { isBetweenCentres, type Setup } from '../../model/plan/setup';

/** How near something of an operation comes to something that it must not touch, mm. */
export interface Clearance {
  /** In words: `blade to the jaws`. */
  what: string;
  distance: number;
  /** Nearer than this it touches, or has no room for its chips; of most things nothing. */
  needs: number;
  /** What would make it more. */
  help: string;
  /** Standing out farther would. */
  wantsRoom?: true;
}

/** Just inside the mouth of a hole, mm. */
const MOUTH = 0.01;

/** Radius at the bottom of what a blade cuts, mm. */
const bottomOf = ({ removal: { outside = [], partedAt }, from, to }: Operation, { bore }: Workpiece): number =>
  partedAt === undefined ? Math.min(...outside.flatMap(({ r0, r1 }) => [r0, r1])) : radiusAt(bore, (from + to) / 2);

/** Whether the holder of a blade stays outside of what the work is held in, all the way down. */
const isOver = (operation: Operation, work: Workpiece, { over }: Setup['holding']): boolean =>
  over !== undefined && bottomOf(operation, work) + (operation.tool.reach ?? 0) >= over / 2;

/** A tool in the post, its holder, and the jaws: whatever stands furthest towards the chuck when the cut ends. */
function toJaws(operation: Operation, work: Workpiece, { holding }: Setup): Clearance[] {
  const { from, to, tool } = operation;
  // On a mandrel there are no jaws over the outside.
  if (tool.mount !== 'post' || tool.least !== undefined || holding.inside !== undefined) return [];
  const holder = (tool.holder ?? 0) > (tool.ahead ?? 0) && !isOver(operation, work, holding);
  const furthest =
    Math.max(from, to) + (operation.goesOn ?? 0) + Math.max(tool.ahead ?? 0, holder ? (tool.holder ?? 0) : 0);
  return [
    {
      what: `${holder ? 'holder' : tool.width && tool.touched ? 'blade' : 'tool'} to the ${isBetweenCentres({ holding }) ? 'dog' : 'jaws'}`,
      distance: holding.from - furthest,
      needs: 0,
      help: 'more stick-out, or a tool that stands less far ahead of its cut',
      wantsRoom: true,
    },
  ];
}

/** The holder of a blade, which begins where its reach ends, and the work on both sides of the cut. */
function holderToWork(operation: Operation, work: Workpiece): Clearance[] {
  const { removal, tool } = operation;
  const { outside } = work;
  const [from, to] = [operation.from, operation.to].sort((a, b) => a - b) as [number, number];
  if (!tool.holder || tool.reach === undefined || (!removal.outside && removal.partedAt === undefined)) return [];
  const beside = Math.max(
    largestRadius(outside, from - tool.holder, from),
    largestRadius(outside, to, to + tool.holder),
  );
  return [
    {
      what: 'holder to the work beside the cut',
      distance: bottomOf(operation, work) + tool.reach - beside,
      needs: 0,
      help: 'a blade that reaches further, or steps that widen until the holder clears',
    },
  ];
}

/** The compound's slide, set over, and the chuck behind its jaws; a collet's nose is slimmer than it is far out. */
function compoundToChuck({ compound, from, to }: Operation, { holding, run }: Setup): Clearance[] {
  const { compoundAhead, jaws } = run.shop.machine;
  if (compound === undefined || compoundAhead === undefined) return [];
  if (holding.kind === 'collet' || isBetweenCentres({ holding })) return [];
  const ahead = compoundAhead * Math.cos((compound * Math.PI) / 180);
  return [
    {
      what: 'compound to the chuck',
      distance: holding.from + jaws.length - (Math.max(from, to) + ahead),
      needs: 0,
      help: 'more stick-out, or the tool further out of its post',
      wantsRoom: true,
    },
  ];
}

/** Where a straight piece of a bore becomes narrower than a radius, z. */
const narrowAt = ({ z0, z1, r0, r1 }: Segment, radius: number): number =>
  r0 <= radius ? z0 : z0 + ((r0 - radius) / (r0 - r1)) * (z1 - z0);

/** What stands ahead of a bar's edge, and where its hole is too narrow for it: at the bottom, where that does not go through the work. */
function barToBottom({ tool, from, to, diameter = 0 }: Operation, { bore, outside }: Workpiece): Clearance[] {
  if (tool.mount !== 'post' || tool.least === undefined || !tool.ahead) return [];
  const top = Math.max(CLOSE, diameter / 2 - standsOut(tool));
  const ends = Math.max(from, to);
  const narrow = bore.find(({ z1, r0, r1 }) => z1 > ends + CLOSE && Math.min(r0, r1) < top);
  const floor = narrow ? Math.max(ends, narrowAt(narrow, top)) : (bore.at(-1)?.z1 ?? 0);
  if (floor >= (outside.at(-1)?.z1 ?? Infinity) - CLOSE) return [];
  return [
    {
      what: 'end of the bar to the bottom',
      distance: floor - (ends + tool.ahead),
      needs: 0,
      help: 'a deeper hole first, or a bar whose edge stands at its end',
    },
  ];
}

/** The back of a bar and the wall behind it, as far in as it goes before it cuts. */
function barToWall({ tool, from, to }: Operation, { bore }: Workpiece): Clearance[] {
  if (tool.mount !== 'post' || tool.least === undefined) return [];
  const found = lowestRadius(bore, 0, Math.max(Math.min(from, to), MOUTH));
  if (!Number.isFinite(found)) return [];
  return [
    {
      what: 'back of the bar to the wall',
      distance: 2 * found - (tool.diameter ?? tool.least),
      needs: tool.least - (tool.diameter ?? tool.least),
      help: 'a slimmer bar, or a wider hole first',
    },
  ];
}

/** A long drill between the work and the tailstock at the end of its bed. */
function toTailstock({ tool }: Operation, { stickOut, run }: Setup): Clearance[] {
  if (tool.mount !== 'tailstock') return [];
  const { machine, allowances } = run.shop;
  const room = machine.betweenCentres - allowances.chuckLength - stickOut.value;
  return [
    {
      what: 'room for the tailstock',
      distance: room - (tool.flute ?? 0) - allowances.drillHolder,
      needs: 0,
      help: 'a shorter drill, or less stick-out',
    },
  ];
}

/** How near an operation comes to what it must not touch, the nearest first; as simple profiles along z and x. */
export const clearancesOf = (operation: Operation, work: Workpiece, setup: Setup): Clearance[] =>
  [
    ...toJaws(operation, work, setup),
    ...holderToWork(operation, work),
    ...compoundToChuck(operation, setup),
    ...barToWall(operation, work),
    ...barToBottom(operation, work),
    ...toTailstock(operation, setup),
  ].sort((a, b) => a.distance - b.distance);

/** Refuses an operation that would touch; else what comes closer than the shop likes, in words. */
export function checkClearances(
  clearances: readonly Clearance[],
  operation: Operation,
  { run, number }: Setup,
): Result<string[]> {
  const { units, shop } = run;
  const short = (mm: number) => say(Number(mm.toFixed(2)), units);
  const hit = clearances.find(({ distance, needs }) => distance < needs - 1e-6);
  if (hit)
    return refuse(
      operation.feature.startsWith('part.') ? operation.feature : 'part.outside',
      `${operation.name} in set-up ${number}: ${hit.what} is ${short(hit.needs - hit.distance)} short; ${hit.help}`,
      hit.wantsRoom ? 'room' : undefined,
    );
  return good(
    clearances
      .filter(({ distance }) => distance < shop.allowances.closest - 1e-6)
      .map(
        ({ what, distance }) =>
          `Only ${short(distance)}, ${what}: bring it up by hand, the spindle turned by hand first.`,
      ),
  );
}
