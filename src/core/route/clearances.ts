import { lowestRadius } from '../part/details/at';
import type { Workpiece } from '../removal/workpiece';
import { refuse, good, type Result } from '../result';
import { say } from '../words';
import type { Operation } from './operation';
import type { Setup } from './setup';

/** How near something of an operation comes to something that it must not touch, mm. */
export interface Clearance {
  /** In words: `blade to the jaws`. */
  what: string;
  distance: number;
  /** Nearer than this it touches, or has no room for its chips; of most things nothing. */
  needs: number;
  /** What would make it more. */
  help: string;
}

/** Just inside the mouth of a hole, mm. */
const MOUTH = 0.01;

/** A tool in the post and the jaws: whatever stands furthest towards the chuck when the cut ends. */
function toJaws({ from, to, tool }: Operation, { holding }: Setup): Clearance[] {
  // On a mandrel there are no jaws over the outside.
  if (tool.mount !== 'post' || tool.least !== undefined || holding.inside !== undefined) return [];
  const furthest = Math.max(from, to) + (tool.ahead ?? 0);
  return [
    {
      what: `${tool.width && tool.touched ? 'blade' : 'tool'} to the jaws`,
      distance: holding.from - furthest,
      needs: 0,
      help: 'more stick-out, or a tool that stands less far ahead of its cut',
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
  [...toJaws(operation, setup), ...barToWall(operation, work), ...toTailstock(operation, setup)].sort(
    (a, b) => a.distance - b.distance,
  );

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
