import { bothSides, hullOf, sweptAlong, type Box, type Point, type Polygon } from './bodies/convex';
import type { Disc, EdgePiece } from './bodies/shapes';
import { disc as discAt, within } from './section/contour';
import { level, lineOf, onGrid, SAME, type Line } from './section/curve';
import { difference, type Section, type Slab } from './section/section';

/** One side of a convex body from one corner to another: the lower going on, the upper going back. */
function sideOf(polygon: Polygon, first: number, last: number, step: 1 | -1): Polygon {
  const corners: Point[] = [];
  for (let index = first; ; index = (index + step + polygon.length) % polygon.length) {
    corners.push(polygon[index] as Point);
    if (index === last) return corners;
  }
}

/** The line of a side over a place that is none of its corners. */
function lineOver(side: Polygon, z: number): Line {
  let from = side[0] as Point;
  for (const to of side) {
    if (to.z > z && to.z > from.z) return lineOf(from.z, from.r, to.z, to.r);
    from = to;
  }
  return level(from.r);
}

/** What lies within a convex body that turns left and stays over the axis. */
function withinConvex(polygon: Polygon): Section {
  let [first, last] = [0, 0];
  for (const [index, { z }] of polygon.entries()) {
    if (z < (polygon[first] as Point).z) first = index;
    if (z > (polygon[last] as Point).z) last = index;
  }
  const [low, high] = [sideOf(polygon, first, last, 1), sideOf(polygon, first, last, -1)];
  const places = [...new Set(polygon.map(({ z }) => onGrid(z)))].sort((a, b) => a - b);
  const slabs: Slab[] = [];
  for (let index = 1; index < places.length; index += 1) {
    const [z0, z1] = [places[index - 1] as number, places[index] as number];
    const middle = (z0 + z1) / 2;
    if (z1 - z0 > SAME) slabs.push({ z0, z1, bands: [{ low: lineOver(low, middle), high: lineOver(high, middle) }] });
  }
  return slabs;
}

/** A convex body in the section, what lies beyond the axis folded over. */
export const sectionsOf = (polygon: Polygon): Section[] =>
  polygon.length < 3 ? [] : bothSides(polygon).map(withinConvex);

/** The way between the two tangents of a disc on a straight way. */
function between(radius: number, from: Point, to: Point): Polygon {
  const length = Math.hypot(to.z - from.z, to.r - from.r) || 1;
  const [nz, nr] = [(-(to.r - from.r) / length) * radius, ((to.z - from.z) / length) * radius];
  return hullOf(
    [from, to].flatMap(({ z, r }) => [
      { z: z + nz, r: r + nr },
      { z: z - nz, r: r - nr },
    ]),
  );
}

/** A nose that stands beyond the axis cuts what lies on this side of it. */
const overAxis = ({ z, r, radius }: Disc): Section =>
  within(
    r - radius >= 0
      ? []
      : r + radius <= 0
        ? []
        : [
            { z: z - Math.sqrt(radius ** 2 - r ** 2), r: 0 },
            {
              z: z + Math.sqrt(radius ** 2 - r ** 2),
              r: 0,
              round: { z, r, way: 'left' },
            },
          ],
  );

const discSection = (disc: Disc): Section =>
  disc.r - disc.radius >= 0 ? discAt(disc.z, disc.r, disc.radius) : overAxis(disc);

const at = ({ z, r, radius }: Disc, by: Point): Disc => ({ z: z + by.z, r: r + by.r, radius });

/** A nose on a straight way. Where it begins it has cut already, or stands free. */
function sweptDisc({ disc, tangent }: { disc: Disc; tangent?: true }, from: Point, to: Point): Section[] {
  const end = at(disc, to);
  const isSquare = from.z === to.z || from.r === to.r;
  return [...(tangent && isSquare ? [] : sectionsOf(between(disc.radius, at(disc, from), end))), discSection(end)];
}

/** A hollow goes straight in: what stands farthest out is cut by the rest of its edge, the hollow stays where it ends. */
function sweptHollow(hollow: Disc, polygon: Polygon, from: Point, to: Point): Section[] {
  const innermost = from.r < to.r ? from : to;
  const middle = at(hollow, innermost);
  return sectionsOf(sweptAlong(polygon, from, to)).map((whole) =>
    difference(whole, discAt(middle.z, middle.r, middle.radius)),
  );
}

/** Everything that a piece of an edge goes over on a straight way (textbook, swept areas), as sections. */
export function sweptSections(piece: EdgePiece, from: Point, to: Point): Section[] {
  if ('hollow' in piece) return sweptHollow(piece.hollow, piece.polygon, from, to);
  if ('disc' in piece) return sweptDisc(piece, from, to);
  return sectionsOf(sweptAlong(piece.polygon, from, to));
}

/** The box of everything that a body goes over on a straight way. */
export const boxOnWay = ({ z0, z1, r0, r1 }: Box, from: Point, to: Point): Box => ({
  z0: z0 + Math.min(from.z, to.z),
  z1: z1 + Math.max(from.z, to.z),
  r0: r0 + Math.min(from.r, to.r),
  r1: r1 + Math.max(from.r, to.r),
});
