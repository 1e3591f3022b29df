/** Curves nearer than this are one, mm: ten times what coordinates are rounded to and back. */
export const SAME = 2e-6;

/** Coordinates lie on a grid, so that what should meet meets; mm. */
const GRID = 1e-6;

/** A coordinate on the grid, mm. */
export const onGrid = (value: number): number => Math.round(value / GRID) * GRID;

/** r along a straight line through two points of different z. */
export interface Line {
  z0: number;
  r0: number;
  z1: number;
  r1: number;
}

/** r along the half of a circle that lies away from the axis (`above`) or towards it. */
export interface Arc {
  z: number;
  r: number;
  radius: number;
  above: boolean;
}

/** One radius for each z. */
export type Curve = Line | Arc;

const isArc = (curve: Curve): curve is Arc => 'radius' in curve;

/** A straight line between two points, on the grid. */
export const lineOf = (z0: number, r0: number, z1: number, r1: number): Line => ({
  z0: onGrid(z0),
  r0: onGrid(r0),
  z1: onGrid(z1),
  r1: onGrid(r1),
});

/** Half of a circle, on the grid. */
export const arcOf = (z: number, r: number, radius: number, above: boolean): Arc => ({
  z: onGrid(z),
  r: onGrid(r),
  radius: onGrid(radius),
  above,
});

/** A radius that is the same everywhere. */
export const level = (r: number): Line => lineOf(0, r, 1, r);

/** Radius at a place, mm. */
export function radiusAt(curve: Curve, z: number): number {
  if (!isArc(curve)) return curve.r0 + ((curve.r1 - curve.r0) * (z - curve.z0)) / (curve.z1 - curve.z0);
  const height = Math.sqrt(Math.max(0, curve.radius ** 2 - (z - curve.z) ** 2));
  return curve.above ? curve.r + height : curve.r - height;
}

const atEnds = (curve: Curve, z0: number, z1: number): [number, number] => [radiusAt(curve, z0), radiusAt(curve, z1)];

/** Whether an arc has its crown between two places. */
const crowns = (curve: Curve, z0: number, z1: number): curve is Arc => isArc(curve) && z0 < curve.z && curve.z < z1;

/** The largest radius of a curve between two places, and the least, mm. */
export const highestOf = (curve: Curve, z0: number, z1: number): number =>
  crowns(curve, z0, z1) && curve.above ? curve.r + curve.radius : Math.max(...atEnds(curve, z0, z1));
export const lowestOf = (curve: Curve, z0: number, z1: number): number =>
  crowns(curve, z0, z1) && !curve.above ? curve.r - curve.radius : Math.min(...atEnds(curve, z0, z1));

/** The curve seen from the other end of a length, mm. */
export const mirroredCurve = (curve: Curve, length: number): Curve =>
  isArc(curve)
    ? arcOf(length - curve.z, curve.r, curve.radius, curve.above)
    : lineOf(length - curve.z1, curve.r1, length - curve.z0, curve.r0);

/** Real roots of a x² + b x + c, without cancellation. A discriminant of next to nothing is a touch. */
function roots(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-12) return Math.abs(b) < 1e-12 ? [] : [-c / b];
  const discriminant = b * b - 4 * a * c;
  if (discriminant < 0) return [];
  const q = -(b + Math.sign(b || 1) * Math.sqrt(discriminant)) / 2;
  return Math.abs(q) < 1e-15 ? [0] : [q / a, c / q];
}

const lineForm = ({ z0, r0, z1, r1 }: Line) => {
  const m = (r1 - r0) / (z1 - z0);
  return { m, k: r0 - m * z0 };
};

/** Where r = k + m z meets a circle; from its middle, so that the squares stay small. */
function onCircle(m: number, k: number, { z, r, radius }: Arc): number[] {
  const up = k + m * z - r;
  return roots(1 + m * m, 2 * m * up, up * up - radius * radius).map((from) => z + from);
}

function meetings(a: Curve, b: Curve): number[] {
  if (isArc(a) && isArc(b)) {
    const [dz, dr] = [b.z - a.z, b.r - a.r];
    // The line through both points where the circles meet, seen from the middle of the first.
    const right = (a.radius ** 2 - b.radius ** 2 + dz ** 2 + dr ** 2) / 2;
    if (Math.abs(dr) < GRID) return Math.abs(dz) < GRID ? [] : [a.z + right / dz];
    return onCircle(-dz / dr, (right + dz * a.z) / dr + a.r, a);
  }
  if (isArc(a)) return meetings(b, a);
  const { m, k } = lineForm(a);
  if (isArc(b)) return onCircle(m, k, b);
  const other = lineForm(b);
  return roots(0, m - other.m, k - other.k);
}

const NOWHERE: readonly number[] = [];

/** Where two curves cross between two places, rising. */
export function crossings(a: Curve, b: Curve, from: number, to: number): readonly number[] {
  // Two lines cross once, and only where the other is above at the end.
  if (!isArc(a) && !isArc(b)) {
    const [before, after] = [radiusAt(a, from) - radiusAt(b, from), radiusAt(a, to) - radiusAt(b, to)];
    if (before * after >= 0) return NOWHERE;
  }
  return meetings(a, b)
    .filter((z) => z > from + GRID && z < to - GRID && Math.abs(radiusAt(a, z) - radiusAt(b, z)) < 1e-4)
    .sort((one, other) => one - other);
}

/** Whether two curves are one between two places: at both and half-way, where an arc stands off its chord most. */
export const isSame = (a: Curve, b: Curve, from: number, to: number): boolean =>
  a === b ||
  (Math.abs(radiusAt(a, from) - radiusAt(b, from)) < SAME &&
    Math.abs(radiusAt(a, to) - radiusAt(b, to)) < SAME &&
    Math.abs(radiusAt(a, (from + to) / 2) - radiusAt(b, (from + to) / 2)) < SAME);

/** ∫ r² dz between two places, by the textbook. */
export function squared(curve: Curve, from: number, to: number): number {
  if (!isArc(curve)) {
    const [r0, r1] = [radiusAt(curve, from), radiusAt(curve, to)];
    return ((to - from) * (r0 * r0 + r0 * r1 + r1 * r1)) / 3;
  }
  const { z, r, radius, above } = curve;
  // With u from the middle and s = √(R² − u²): (r ± s)² = r² + R² − u² ± 2 r s.
  const whole = (u: number) => {
    const s = Math.sqrt(Math.max(0, radius * radius - u * u));
    const area = (u * s + radius * radius * Math.asin(Math.min(1, Math.max(-1, u / radius)))) / 2;
    return (r * r + radius * radius) * u - u ** 3 / 3 + 2 * (above ? 1 : -1) * r * area;
  };
  return whole(to - z) - whole(from - z);
}
