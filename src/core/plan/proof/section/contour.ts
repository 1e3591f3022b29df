import { arcOf, lineOf, onGrid, radiusAt, type Arc, type Curve } from './curve';
import { AXIS, type Band, type Section } from './section';

/** Farther out than any work, mm. */
const FAR = 1e4;

/** A corner of a contour, and how it goes on from there: straight, or round a middle. */
export interface Corner {
  z: number;
  r: number;
  round?: { z: number; r: number; way: 'left' | 'right' };
}

/** A curve of a contour with the places between which it runs. */
interface Edge {
  z0: number;
  z1: number;
  curve: Curve;
}

const edge = (from: number, to: number, curve: Curve): Edge => ({
  z0: onGrid(Math.min(from, to)),
  z1: onGrid(Math.max(from, to)),
  curve,
});

const straight = (from: Corner, to: Corner): Edge[] =>
  onGrid(from.z) === onGrid(to.z) ? [] : [edge(from.z, to.z, lineOf(from.z, from.r, to.z, to.r))];

/** An arc in pieces that do not turn back in z. */
function pieces(from: Corner, to: Corner, { z, r, way }: NonNullable<Corner['round']>): Edge[] {
  const radius = Math.hypot(from.z - z, from.r - r);
  const turn = way === 'left' ? 1 : -1;
  const angle = (corner: Corner) => Math.atan2(corner.r - r, corner.z - z);
  const start = angle(from);
  const whole = 2 * Math.PI;
  const sweep = ((((angle(to) - start) * turn) % whole) + whole) % whole || whole;
  // It turns back at 0 and at 180 degrees.
  const backs = Array.from({ length: 5 }, (_, index) => (index - 2) * Math.PI)
    .map((at) => ((((at - start) * turn) % whole) + whole) % whole)
    .filter((at) => at > 1e-9 && at < sweep - 1e-9);
  const places = [...new Set([0, ...backs.sort((a, b) => a - b), sweep])];
  return places.slice(1).flatMap((end, index) => {
    const begin = places[index] as number;
    const zAt = (along: number) => z + radius * Math.cos(start + turn * along);
    const above = Math.sin(start + (turn * (begin + end)) / 2) > 0;
    return Math.abs(zAt(end) - zAt(begin)) < 1e-9 ? [] : [edge(zAt(begin), zAt(end), arcOf(z, r, radius, above))];
  });
}

/** What lies within a closed contour that does not cross itself, cut off at the axis. */
export function within(corners: readonly Corner[]): Section {
  const edges = corners.flatMap((from, index) => {
    const to = corners[(index + 1) % corners.length] as Corner;
    return from.round ? pieces(from, to, from.round) : straight(from, to);
  });
  const borders = [...new Set(edges.flatMap(({ z0, z1 }) => [z0, z1]))].sort((a, b) => a - b);
  return borders.slice(1).flatMap((z1, index) => {
    const z0 = borders[index] as number;
    const middle = (z0 + z1) / 2;
    const curves = edges
      .filter((side) => side.z0 < middle && middle < side.z1)
      .map(({ curve }) => curve)
      .sort((a, b) => radiusAt(a, middle) - radiusAt(b, middle));
    const bands: Band[] = [];
    for (let at = 0; at + 1 < curves.length; at += 2)
      bands.push({ low: curves[at] as Curve, high: curves[at + 1] as Curve });
    return bands.length > 0 && z1 - z0 > 2e-6 ? [{ z0, z1, bands }] : [];
  });
}

/** A rectangle along the axis. */
export const box = (z0: number, z1: number, r0: number, r1: number): Section =>
  within([
    { z: z0, r: r0 },
    { z: z1, r: r0 },
    { z: z1, r: r1 },
    { z: z0, r: r1 },
  ]);

/** A whole circle. */
export const disc = (z: number, r: number, radius: number): Section => {
  const [left, right] = [z - radius, z + radius];
  const half = (above: boolean): Arc => arcOf(z, r, radius, above);
  return [{ z0: onGrid(left), z1: onGrid(right), bands: [{ low: half(false), high: half(true) }] }];
};

/** Everything under a curve between two places, from the axis. */
export const under = (z0: number, z1: number, curve: Curve): Section => [
  { z0: onGrid(z0), z1: onGrid(z1), bands: [{ low: AXIS, high: curve }] },
];

/** Everything over it, as far out as anything can be. */
export const over = (z0: number, z1: number, curve: Curve): Section => [
  { z0: onGrid(z0), z1: onGrid(z1), bands: [{ low: curve, high: lineOf(0, FAR, 1, FAR) }] },
];
