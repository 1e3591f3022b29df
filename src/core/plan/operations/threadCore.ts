import type { Feature } from '../../model/part/feature';
import { insideEnd, type InsideEnd } from '../../model/part/threadRoomInside';
import type { Gearing } from '../../model/plan/gearing';
import type { Tool } from '../../model/shop/shop';
import { pointLength } from '../../model/workpiece/drillPoint';
import { goesThrough } from '../reach/reached';
import type { Setup } from '../../model/plan/setup';
import { holeServing } from './holeNeed';
import { aheadOfPoint, insideToolFor } from './insideTool';
import { gearingOf } from './threading';

/** The point of a drill that opens it, degrees: the usual (ours). */
const POINT = 118;

/** So many pitches stay behind a core that ends as its drill leaves it (ours). */
const LEFT_BEHIND = 1;

/** How much deeper than an inside thread its core is bored, mm: so that its last turns run out; nothing for any other bore. */
export function coreBeyond(feature: Feature, { part, run }: Pick<Setup, 'part' | 'run'>): number {
  const { kind, thread } = feature;
  if (kind !== 'inner-thread' || !thread) return 0;
  const { threadEndTimes } = run.shop.cutting;
  const isDeeper = goesThrough(feature, part) || insideEnd(feature, part, threadEndTimes) === 'deeper';
  return isDeeper ? Math.max(threadEndTimes * thread.pitch, thread.pitch + aheadOfPoint(feature, { run })) : 0;
}

/** How an inside thread is cut in a set-up: how its tool leaves, where its point stops, and what drives it. z of the view, mm */
interface InsideCut {
  end: InsideEnd;
  to: number;
  tool: Tool;
  gearing: Gearing;
}

/** @returns undefined without gears for its pitch, a tool, or room to leave: it stays undone then, and is told (doubts) */
export function insideCut(feature: Feature, setup: Setup): InsideCut | undefined {
  const { part, behind, run } = setup;
  const { threadEndTimes } = run.shop.cutting;
  const pitch = feature.thread?.pitch ?? 0;
  const end = insideEnd(feature, part, threadEndTimes);
  const through = goesThrough(feature, part);
  const to = feature.z1 + (through ? behind : 0) + (end === 'relief' ? (threadEndTimes * pitch) / 2 : 0);
  const tip = to + (end === 'relief' ? 0 : pitch);
  const bored = through ? Infinity : feature.z1 + coreBeyond(feature, setup);
  const tool = insideToolFor(feature, setup, { tip, bored });
  const gearing = gearingOf(feature, setup);
  return tool && gearing && end !== 'no-room' ? { end, to, tool, gearing } : undefined;
}

/** Whether the core of an inside thread is not to be bored: a hole of the drawing or of a tube is it, or nothing cuts the thread. */
export function isCoreLeft(feature: Feature, setup: Setup): boolean {
  const { path, kind, size, z1 } = feature;
  if (kind !== 'inner-thread' || !size) return false;
  if (!insideCut(feature, setup)) return true;
  const [atLeast, atMost] = [size.nominal + size.lower, size.nominal + size.upper];
  const through = goesThrough(feature, setup.part);
  return (
    holeServing({ feature: path, purpose: '', atLeast, atMost, aim: atLeast, through, depth: z1 }, setup) !== undefined
  );
}

/**
 * The widest drill that a blind core may end as: nobody sees what lies behind its thread, where there is metal for the point, mm.
 * @returns undefined where the core ends flat
 */
export function endsAsDrilled(feature: Feature, { part, run }: Pick<Setup, 'part' | 'run'>): number | undefined {
  const { thread, z1 } = feature;
  const beyond = coreBeyond(feature, { part, run });
  if (beyond === 0 || !thread || goesThrough(feature, part)) return undefined;
  const point = part.length - LEFT_BEHIND * thread.pitch - z1 - beyond;
  return point > 0 ? point / pointLength(1, POINT) : undefined;
}
