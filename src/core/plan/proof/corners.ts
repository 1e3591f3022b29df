import { difference, joinedWith, type Section, type Slab } from './section/section';
import { disc, within } from './section/contour';
import { radiusAt, type Curve } from './section/curve';

/** A corner of the metal into which a nose does not come, and the ways that its two sides take from it, as directions. */
interface Corner {
  z: number;
  r: number;
  a: { z: number; r: number };
  b: { z: number; r: number };
}

/** Sides shorter than this make no corner, mm; nor does a bend of less than this, as a sine. */
const SHORT = 1e-3;
const STRAIGHT = 1e-6;

/** Direction of a curve away from a place, towards the chuck (1) or the free end (−1). */
function direction(curve: Curve, z: number, way: 1 | -1): { z: number; r: number } {
  const step = 1e-3;
  const rise = radiusAt(curve, z + way * step) - radiusAt(curve, z);
  const length = Math.hypot(step, rise);
  return { z: (way * step) / length, r: rise / length };
}

const UP = { z: 0, r: 1 };
const DOWN = { z: 0, r: -1 };

/** Where two neighbours' surfaces meet: of the outside (`high`) or of the bore (`low`). */
function cornersAt(left: Slab, right: Slab, side: 'high' | 'low'): Corner[] {
  const z = right.z0;
  const [a, b] = (side === 'high' ? [left.bands.at(-1), right.bands.at(-1)] : [left.bands[0], right.bands[0]]).map(
    (band) => band?.[side],
  );
  if (!a || !b) return [];
  const [before, after] = [radiusAt(a, z), radiusAt(b, z)];
  const out = side === 'high' ? 1 : -1;
  const wall = out > 0 ? UP : DOWN;
  const step = (after - before) * out;
  if (step > SHORT) return [{ z, r: before, a: direction(a, z, -1), b: wall }];
  if (step < -SHORT) return [{ z, r: after, a: wall, b: direction(b, z, 1) }];
  return [{ z, r: before, a: direction(a, z, -1), b: direction(b, z, 1) }];
}

/** What a nose leaves in a corner, if it is one: the way between both sides, less than straight, is the nose's. */
function leftIn({ z, r, a, b }: Corner, nose: number, side: 'high' | 'low'): Section {
  const turn = (a.z * b.r - a.r * b.z) * (side === 'high' ? -1 : 1);
  const cosine = a.z * b.z + a.r * b.r;
  if (turn < STRAIGHT) return [];
  const half = Math.acos(Math.min(1, Math.max(-1, cosine))) / 2;
  const along = nose / Math.tan(half);
  const [da, db] = [a, b].map((way) => ({ z: z + way.z * along, r: r + way.r * along })) as [Corner['a'], Corner['a']];
  const middle = { z: a.z + b.z, r: a.r + b.r };
  const length = Math.hypot(middle.z, middle.r);
  const far = nose / Math.sin(half) / length;
  return difference(within([{ z, r }, da, db]), disc(z + middle.z * far, r + middle.r * far, nose));
}

/**
 * Metal with what an edge's nose leaves in its inner corners, outside and in the bore: a drawing that says nothing of a
 * corner allows it.
 */
export function withCorners(metal: Section, nose: number): Section {
  const left = metal.slice(1).flatMap((right, index) => {
    const before = metal[index] as Slab;
    if (right.z0 - before.z1 > SHORT) return [];
    return (['high', 'low'] as const).flatMap((side) =>
      cornersAt(before, right, side).map((corner) => leftIn(corner, nose, side)),
    );
  });
  return left.reduce<Section>(joinedWith, metal);
}
