import { TINY } from '../tolerances';
/** A piece of a circle: its centre at z and radius r, and whether the metal bulges out of it or it hollows the metal. */
export interface Arc {
  z: number;
  r: number;
  radius: number;
  hollow: boolean;
}

/** A piece of a profile: radius r0 at z0 to r1 at z1, mm, z0 < z1; straight, or along an arc. */
export interface Segment {
  z0: number;
  z1: number;
  r0: number;
  r1: number;
  arc?: Arc;
}

/** A cylinder as a piece of a profile. */
export const cylinder = (z0: number, z1: number, r: number): Segment => ({ z0, z1, r0: r, r1: r });

/** A piece of an arc between two places on it. */
export const along = (arc: Arc, z0: number, z1: number): Segment => ({
  z0,
  z1,
  r0: arcRadius(arc, z0),
  r1: arcRadius(arc, z1),
  arc,
});

function arcRadius({ z: centre, r, radius, hollow }: Arc, z: number): number {
  const height = Math.sqrt(Math.max(0, radius * radius - (z - centre) ** 2));
  return hollow ? r - height : r + height;
}

const slope = ({ z0, z1, r0, r1 }: Segment) => (r1 - r0) / (z1 - z0);

/** Radius of a piece at a place on it, mm. */
export const radiusOn = (segment: Segment, z: number): number =>
  segment.arc ? arcRadius(segment.arc, z) : segment.r0 + slope(segment) * (z - segment.z0);

/** The part of a piece between two places on it. */
export function cutOut(segment: Segment, z0: number, z1: number): Segment {
  if (segment.z0 === z0 && segment.z1 === z1) return segment;
  const [r0, r1] = [radiusOn(segment, z0), radiusOn(segment, z1)];
  // Written out: this runs for every pass of every operation.
  return segment.arc ? { z0, z1, r0, r1, arc: segment.arc } : { z0, z1, r0, r1 };
}

/** Whether a piece goes on where another ends, on the same line or arc. */
export function continues(before: Segment, after: Segment): boolean {
  if (Math.abs(before.z1 - after.z0) > TINY || Math.abs(before.r1 - after.r0) > TINY) return false;
  if (before.arc || after.arc) return before.arc === after.arc;
  return Math.abs(slope(before) - slope(after)) < TINY;
}

/** Roots of a z² + b z + c. */
function roots(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-12) return Math.abs(b) < 1e-12 ? [] : [-c / b];
  const root = b * b - 4 * a * c;
  return root < 0 ? [] : [(-b - Math.sqrt(root)) / (2 * a), (-b + Math.sqrt(root)) / (2 * a)];
}

/** Where a line r = k + m z meets a circle. */
const onCircle = (m: number, k: number, { z, r, radius }: Arc): number[] =>
  roots(1 + m * m, 2 * (m * (k - r) - z), z * z + (k - r) ** 2 - radius * radius);

/** Where two whole circles or lines have the same radius; some of these may lie on the other half of a circle. */
function meetings(a: Segment, b: Segment): number[] {
  const line = (segment: Segment) => ({ m: slope(segment), k: segment.r0 - slope(segment) * segment.z0 });
  if (!a.arc && !b.arc) return roots(0, line(a).m - line(b).m, line(a).k - line(b).k);
  if (!a.arc) return meetings(b, a);
  if (!b.arc) return onCircle(line(b).m, line(b).k, a.arc);
  const [p, q] = [a.arc, b.arc];
  // The line through the two points where the circles meet.
  const right = p.radius ** 2 - q.radius ** 2 - p.z ** 2 + q.z ** 2 - p.r ** 2 + q.r ** 2;
  const [dz, dr] = [2 * (q.z - p.z), 2 * (q.r - p.r)];
  if (Math.abs(dr) < 1e-12) return Math.abs(dz) < 1e-12 ? [] : [right / dz];
  return onCircle(-dz / dr, right / dr, p);
}

/** Where two pieces cross between two places, rising. */
export const crossings = (a: Segment, b: Segment, from: number, to: number): number[] =>
  meetings(a, b)
    .filter((z) => z > from + TINY && z < to - TINY && Math.abs(radiusOn(a, z) - radiusOn(b, z)) < 1e-6)
    .sort((one, other) => one - other);

/** The largest radius on a piece: at one of its ends, or at the crown of an arc. */
export const peak = ({ arc, z0, z1, r0, r1 }: Segment): number =>
  arc && !arc.hollow && z0 < arc.z && arc.z < z1 ? arc.r + arc.radius : Math.max(r0, r1);

/** The smallest radius on a piece: at one of its ends, or at the bottom of a hollow. */
export const bottom = ({ arc, z0, z1, r0, r1 }: Segment): number =>
  arc?.hollow && z0 < arc.z && arc.z < z1 ? arc.r - arc.radius : Math.min(r0, r1);

/** The piece seen from the other end of a length. */
export const mirrored = ({ z0, z1, r0, r1, arc }: Segment, length: number): Segment => ({
  z0: length - z1,
  z1: length - z0,
  r0: r1,
  r1: r0,
  ...(arc ? { arc: { ...arc, z: length - arc.z } } : {}),
});

/** A profile: pieces side by side in rising z. A jump of radius between two of them is a shoulder. */
export type Profile = readonly Segment[];
