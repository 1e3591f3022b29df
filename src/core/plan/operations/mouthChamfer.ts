import type { Feature } from '../../model/part/feature';
import type { Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import type { Tool } from '../../model/shop/shop';
import { term } from '../../model/figure';
import { rapid } from './edgePaths';
import { goesOnAs } from './holeNeed';

/** The point of a chamfer tool stands so far beside the wall, within the hole, mm (ours). */
const WITHIN = 0.5;

/** How a mouth is chamfered by an edge that points into the hole, mm. */
export interface Mouth {
  tool: Tool;
  /** The chamfer in radius and along the axis; where the point of the tool stands at its end. */
  leg: number;
  z: number;
  r: number;
}

/** How the edge of a chamfer tool points to the chuck instead of to the axis, degrees. */
export const INTO_THE_MOUTH = 90;

/**
 * A mouth that no countersink is wide enough for: the tool that chamfers corners, turned to point into the hole (trade:
 * Order), where its edge is as steep and as long; undefined where there is no hole for its point, or no such tool.
 */
export function mouthFor(
  feature: Feature,
  setup: Setup,
  { mouth, included }: { mouth: number; included: number },
): Mouth | undefined {
  const hole = goesOnAs(feature, setup);
  const leg = mouth / 2 - hole;
  const r = hole - WITHIN;
  const slant = (leg + WITHIN) / Math.sin((included * Math.PI) / 360);
  const z = (mouth / 2 - r) / Math.tan((included * Math.PI) / 360);
  const tool = setup.run.shop.tools.find(
    ({ does, point = 90, width = 0 }) =>
      does.includes('chamfer') && Math.abs(point - included) < 0.01 && width >= slant,
  );
  return tool && leg > 0 && r > z ? { tool, leg, z, r } : undefined;
}

/** Straight along the axis into the mouth, and out again. */
export const mouthPass = ({ leg, z, r }: Mouth, approach: number): Pass => ({
  depth: leg,
  z,
  diameter: 2 * r,
  wide: leg,
  way: [term('c', 'in', z, 'mm', 'computed'), term('a', 'approach', approach, 'mm', 'start value')],
  path: [{ z: -approach, r }, { z, r }, rapid(-approach, r)],
  note: 'the tool turned to point into the hole',
});
