/** A place in the section: along the axis, and out from it, mm. Below the axis r is negative. */
export interface Point {
  z: number;
  r: number;
}

/** Corners of a convex body, once round, turning left. */
export type Polygon = readonly Point[];

/** Twice the area of a triangle, positive where it turns left. */
const turn = (a: Point, b: Point, c: Point): number => (b.z - a.z) * (c.r - a.r) - (b.r - a.r) * (c.z - a.z);

/** Half of a hull, over points sorted along z. */
function chain(points: readonly Point[]): Point[] {
  const corners: Point[] = [];
  for (const point of points) {
    while (corners.length > 1 && turn(corners.at(-2) as Point, corners.at(-1) as Point, point) <= 1e-12) corners.pop();
    corners.push(point);
  }
  return corners.slice(0, -1);
}

/** The smallest convex body that holds all points (textbook, monotone chain). */
export function hullOf(points: readonly Point[]): Polygon {
  const sorted = [...points].sort((a, b) => a.z - b.z || a.r - b.r);
  return [...chain(sorted), ...chain(sorted.toReversed())];
}

/** A rectangle along the axis. */
export const rectangle = (z0: number, z1: number, r0: number, r1: number): Polygon => [
  { z: z0, r: r0 },
  { z: z1, r: r0 },
  { z: z1, r: r1 },
  { z: z0, r: r1 },
];

export const moved = (polygon: Polygon, by: Point): Polygon =>
  polygon.map(({ z, r }) => ({ z: z + by.z, r: r + by.r }));

/** Everything that it goes over on a straight way. */
export const sweptAlong = (polygon: Polygon, from: Point, to: Point): Polygon =>
  from.z === to.z && from.r === to.r ? moved(polygon, from) : hullOf([...moved(polygon, from), ...moved(polygon, to)]);

/** The part of it on one side of the axis, that of the other side folded over: what turns meets both. */
export function bothSides(polygon: Polygon): Polygon[] {
  if (polygon.every(({ r }) => r >= 0)) return [polygon];
  const folded = polygon.map(({ z, r }) => ({ z, r: -r })).toReversed();
  return [polygon, folded].map(overAxis).filter((side) => side.length > 2);
}

function overAxis(polygon: Polygon): Polygon {
  return polygon.flatMap((from, index) => {
    const to = polygon[(index + 1) % polygon.length] as Point;
    const kept = from.r >= 0 ? [from] : [];
    if (from.r >= 0 === to.r >= 0) return kept;
    return [...kept, { z: from.z + ((to.z - from.z) * from.r) / (from.r - to.r), r: 0 }];
  });
}

export interface Box {
  z0: number;
  z1: number;
  r0: number;
  r1: number;
}

export function boxOf(points: readonly Point[]): Box {
  const box = { z0: Infinity, z1: -Infinity, r0: Infinity, r1: -Infinity };
  for (const { z, r } of points) {
    if (z < box.z0) box.z0 = z;
    if (z > box.z1) box.z1 = z;
    if (r < box.r0) box.r0 = r;
    if (r > box.r1) box.r1 = r;
  }
  return box;
}

/** How far apart two boxes are at least, mm; nothing where they touch. */
export const apart = (a: Box, b: Box): number =>
  Math.hypot(Math.max(0, a.z0 - b.z1, b.z0 - a.z1), Math.max(0, a.r0 - b.r1, b.r0 - a.r1));

function toSegment(point: Point, from: Point, to: Point): number {
  const [dz, dr] = [to.z - from.z, to.r - from.r];
  const length = dz * dz + dr * dr;
  const along = length === 0 ? 0 : ((point.z - from.z) * dz + (point.r - from.r) * dr) / length;
  const at = Math.min(1, Math.max(0, along));
  return Math.hypot(point.z - from.z - at * dz, point.r - from.r - at * dr);
}

function toOutline(points: Polygon, outline: Polygon): number {
  let least = Infinity;
  for (const point of points) {
    let from = outline.at(-1) as Point;
    for (const to of outline) {
      least = Math.min(least, toSegment(point, from, to));
      from = to;
    }
  }
  return least;
}

/** How deep they are in each other along the direction in which that is least, mm; negative where a gap is between. */
function depthAlongSides(a: Polygon, b: Polygon): number {
  let least = Infinity;
  let from = a.at(-1) as Point;
  for (const to of a) {
    const length = Math.hypot(to.z - from.z, to.r - from.r);
    if (length > 1e-9) {
      // Outwards from a body that turns left.
      const [nz, nr] = [(to.r - from.r) / length, -(to.z - from.z) / length];
      let nearest = Infinity;
      for (const { z, r } of b) nearest = Math.min(nearest, (z - from.z) * nz + (r - from.r) * nr);
      if (-nearest < least) least = -nearest;
      if (least < 0) return least;
    }
    from = to;
  }
  return least;
}

/** How far two convex bodies are apart, mm; how deep they are in each other where that is negative. */
export function distance(a: Polygon, b: Polygon): number {
  const within = Math.min(depthAlongSides(a, b), depthAlongSides(b, a));
  return within > 0 ? -within : Math.min(toOutline(a, b), toOutline(b, a));
}
