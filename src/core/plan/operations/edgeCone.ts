import { angleWays, type AngleWay } from '../cutting/angleWays';
import { halfAngle } from '../cutting/compound';
import type { Feature } from '../../model/part/feature';
import { isTied } from '../../model/part/part';
import type { Segment } from '../../model/workpiece/profile';
import type { Tool } from '../../model/shop/shop';
import type { Setup } from '../../model/plan/setup';

/** The one straight flank of a cone, outside or inside; undefined where it has none. */
export const flankOf = ({ outside, bore }: Feature): Segment | undefined => {
  const flank = (outside ?? bore)?.[0];
  return flank && !flank.arc ? flank : undefined;
};

/** Half of the cone's included angle, degrees. */
export const halfOf = ({ z0, z1, r0, r1 }: Segment): number => halfAngle(r0, r1, z1 - z0);

/** A straight edge and how the post sets it. */
interface EdgeSet {
  tool: Tool;
  way: AngleWay;
}

/** How far the far diameter of a cone may be out either way, mm: half of what its closest diameter is given. */
export const allowedAtEnd = ({ dimensions }: Feature): number =>
  Math.min(
    ...dimensions.flatMap((dimension) =>
      dimension.kind === 'diameter' ? [(dimension.size.upper - dimension.size.lower) / 2] : [],
    ),
  );

/**
 * A short cone that a straight edge covers, and that a step of the post comes near enough to: it is plunged, and the
 * compound stays where it is. One that must run true to something is turned by the compound (trade: Cutting).
 */
export function edgeFor(feature: Feature, { run, part }: Setup): EdgeSet | undefined {
  const flank = feature.kind === 'cone' && !isTied(part, feature.path) ? flankOf(feature) : undefined;
  if (!flank) return undefined;
  const slant = Math.hypot(flank.z1 - flank.z0, flank.r1 - flank.r0);
  const tool = run.shop.tools.find(({ does, width = 0 }) => does.includes('edge-cone') && width >= slant - 1e-6);
  const way = angleWays(halfOf(flank), flank.z1 - flank.z0, run.shop).find(({ by }) => by === 'post');
  return tool && way && way.atEnd <= allowedAtEnd(feature) + 1e-9 ? { tool, way } : undefined;
}
