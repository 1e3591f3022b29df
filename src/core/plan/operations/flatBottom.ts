import type { EdgePlace } from '../../model/plan/edgeWay';
import type { Operation, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { boringBarSize } from '../../model/shop/boringBar';
import type { Tool } from '../../model/shop/shop';
import { term } from '../../model/figure';
import { CLOSE } from '../../model/tolerances';
import { cylinder, radiusAt, radiusOn } from '../../model/workpiece/profile';
import type { Profile } from '../../model/workpiece/segment';
import { minutesOfCuts } from '../cutting/estimate';
import { alongBore, outwards } from './edgePaths';

/** A nose goes in so far from the cone that a drill left, and at its tip at such a slope, mm and mm a mm (ours). */
const CLEAR_OF_CONE = 0.1;
const ASLANT = 3;

/**
 * The narrowest hole in which the edge of a bar gets to the middle of a floor, or to a hole that goes on there, its back
 * clear of the wall, as a radius, mm.
 */
export const roomAcross = (tool: Tool, beyond: number): number => boringBarSize(tool).back - beyond;

/** Where a bore is first narrower than at its mouth, down to a depth; undefined where it is not. */
function narrowsAt(bore: Profile, start: number, to: number): number | undefined {
  const narrower = bore.find(({ z0, r0, r1 }) => z0 < to - CLOSE && Math.min(r0, r1) < start - CLOSE);
  if (!narrower) return undefined;
  return radiusOn(narrower, Math.max(narrower.z0, 0) + CLOSE) < start - CLOSE ? Math.max(narrower.z0, 0) : narrower.z0;
}

/** How a flat bottom is made before its wall, radii and z of a set-up, mm. */
interface Floor {
  bore: Profile;
  tool: Tool;
  /** Where the hole that is there begins to be narrower than at its mouth, and how wide it is opened down to there. */
  narrow: number;
  opened: number;
  /** From where on the floor is faced down, and how far out. */
  from: number;
  out: number;
}

/** A layer of a floor: in beside what is there, and outwards. */
function layer(z: number, depth: number, { bore, tool, out }: Floor, back: EdgePlace | undefined): Pass {
  const nose = tool.nose ?? 0;
  const before = z - depth;
  // Beside the wall of the cone there is room for the nose; at its tip it goes in aslant and comes back to the middle.
  const clear = radiusAt(bore, z - CLOSE) - CLEAR_OF_CONE;
  const entry: EdgePlace[] =
    clear > nose
      ? [
          { z: before, r: clear, by: 'rapid' },
          { z, r: clear },
        ]
      : [
          { z: before, r: nose, by: 'rapid' },
          { z, r: nose + ASLANT * depth },
          { z, r: nose },
        ];
  return {
    depth,
    z,
    on: 2 * out,
    leaves: { bore: [cylinder(-1, z, out)] },
    path: [...entry, ...outwards(z, out, depth + nose), ...(back ? [back] : [])],
    way: [
      term('r', 'outwards', out - Math.max(clear, nose), 'mm', 'computed'),
      term('a', 'in, and up the wall', 2 * depth + nose, 'mm', 'computed'),
    ],
    limitedBy: 'shape',
    note: 'the floor, outwards',
  };
}

/** The hole opened at its mouth, so that the back of the bar has room where its edge goes to the middle. */
function opening({ narrow, opened }: Floor, there: number, { run }: Setup): Pass[] {
  const { allowances, cutting } = run.shop;
  const count = Math.ceil((opened - there) / cutting.deepestBore - 1e-9);
  const depth = (opened - there) / Math.max(1, count);
  return Array.from({ length: count }, (_, index) => {
    const radius = there + depth * (index + 1);
    return {
      depth,
      on: 2 * radius,
      diameter: 2 * radius,
      z: narrow,
      leaves: { bore: [cylinder(-1, narrow, radius)] },
      path: alongBore(-allowances.approach, narrow, radius, undefined),
      way: [
        term('l', 'depth', narrow, 'mm', 'computed'),
        term('a', 'approach', allowances.approach, 'mm', 'start value'),
      ],
      limitedBy: 'shape' as const,
      note: 'room for the back of the bar',
    };
  });
}

/**
 * What makes a flat bottom before its wall is bored: faced out in equal layers, as far as the hole is wide, or all but the
 * finish of the wall where that is quicker (trade: Order). No layer is deeper than the end of the bar lies behind its edge.
 * @param there radius of the hole at its mouth
 * @returns the passes, and how wide the hole is then; undefined where the hole goes on as wide and boring along is quicker, or
 * no edge gets to its middle
 */
export function flatBottom(
  operation: Operation,
  bore: Profile,
  there: number,
  setup: Setup,
): { passes: Pass[]; out: number } | undefined {
  const { to, diameter = 0, tool } = operation;
  const { cutting, bodies, allowances } = setup.run.shop;
  const narrow = narrowsAt(bore, there, to) ?? to;
  const wide = diameter / 2 - cutting.finishBore;
  const beyond = radiusAt(bore, to + CLOSE);
  const room = roomAcross(tool, beyond);
  const opened = Math.max(there, room);
  if (there <= 0 || opened > wide + CLOSE) return undefined;
  const deepest = Math.min(cutting.deepestBore, bodies.barEnd);
  const layers = (deep: number) => Math.ceil(deep / deepest - 1e-9);
  const minutes = minutesOfCuts(operation, diameter, setup);
  const byWall =
    minutes(layers(to - narrow), opened) + minutes(Math.ceil((wide - opened) / cutting.deepestBore - 1e-9), to);
  const isWide = room <= there + CLOSE && minutes(layers(to), wide - beyond) < byWall;
  if (narrow === to && !isWide) return undefined;
  const floor: Floor = {
    bore,
    tool,
    narrow,
    opened,
    from: isWide ? 0 : narrow,
    out: isWide ? wide : opened,
  };
  const deep = to - floor.from;
  const count = layers(deep);
  const faced = Array.from({ length: count }, (_, index) => {
    const z = floor.from + (deep * (index + 1)) / count;
    // In the end it comes out of the hole before it goes to its wall.
    const back = { z: -allowances.approach, r: floor.out - deep / count, by: 'rapid' as const };
    return layer(z, deep / count, floor, index === count - 1 ? back : undefined);
  });
  return { passes: [...opening(floor, there, setup), ...faced], out: floor.out };
}
