import type { Segment } from '../../model/workpiece/segment';

/** Where the nose of a tool stands in a hollow: its left edge, the diameter at its tip, mm. */
export interface NosePlace {
  z: number;
  diameter: number;
}

/** How much stands between two places of a nose, mm: what its circles leave inside the arc. */
function cusp(radius: number, nose: number, between: number): number {
  const round = radius - nose;
  const half = round * Math.sin(between / 2);
  return half >= nose ? Infinity : radius - (round * Math.cos(between / 2) + Math.sqrt(nose ** 2 - half ** 2));
}

/**
 * A hollow walked by a nose smaller than it (trade: Shop arithmetic): its middle goes along the arc that lies a nose inside, so
 * that it touches and never cuts in; as many places as leave no more standing between them than may be.
 * @returns undefined where the nose is no smaller than the hollow
 */
export function hollowTable({ z0, z1, arc }: Segment, nose: number, scallop: number): NosePlace[] | undefined {
  if (!arc?.hollow || nose <= 0 || nose >= arc.radius) return undefined;
  const { radius, z, r } = arc;
  const [first, last] = [z0, z1].map((end) => Math.asin(Math.max(-1, Math.min(1, (end - z) / radius))));
  if (first === undefined || last === undefined) return undefined;
  let steps = 2;
  while (cusp(radius, nose, (last - first) / steps) > scallop) steps += 1;
  return Array.from({ length: steps + 1 }, (_, index) => {
    const angle = first + ((last - first) * index) / steps;
    return {
      z: z + (radius - nose) * Math.sin(angle) + nose,
      diameter: 2 * (r - (radius - nose) * Math.cos(angle) - nose),
    };
  });
}
