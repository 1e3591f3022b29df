import { bothSides, boxOf, hullOf, moved, sweptAlong, type Point, type Polygon } from './bodies/convex';
import type { Disc, EdgePiece } from './bodies/shapes';
import { disc as discAt, within } from './section/contour';
import { difference, type Section } from './section/section';

/** A convex body in the section, what lies beyond the axis folded over. */
export const sectionsOf = (polygon: Polygon): Section[] => bothSides(polygon).map(within);

/** The way between the two tangents of a disc on a straight way. */
function between(radius: number, from: Point, to: Point): Polygon {
  const length = Math.hypot(to.z - from.z, to.r - from.r);
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

function sweptDisc(disc: Disc, from: Point, to: Point): Section[] {
  const [a, b] = [at(disc, from), at(disc, to)];
  if (a.z === b.z && a.r === b.r) return [discSection(a)];
  return [...sectionsOf(between(disc.radius, a, b)), discSection(a), discSection(b)];
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
  if ('disc' in piece) return sweptDisc(piece.disc, from, to);
  return sectionsOf(sweptAlong(piece.polygon, from, to));
}

/** The convex body round a piece of an edge: a nose as the square about it. */
export function hullOfPiece(piece: EdgePiece): Polygon {
  if (!('disc' in piece)) return piece.polygon;
  const { z, r, radius } = piece.disc;
  return [
    { z: z - radius, r: r - radius },
    { z: z + radius, r: r - radius },
    { z: z + radius, r: r + radius },
    { z: z - radius, r: r + radius },
  ];
}

export const boxOnWay = (polygon: Polygon, from: Point, to: Point) =>
  boxOf([...moved(polygon, from), ...moved(polygon, to)]);
