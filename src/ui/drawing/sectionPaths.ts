import { radiusAt, type Curve } from '@/core/plan/proof/section/curve';
import type { Section, Slab } from '@/core/plan/proof/section/section';
import type { Point } from '@/core/plan/proof/bodies/convex';
import type { EdgePiece } from '@/core/plan/proof/bodies/shapes';
import type { Frame } from './paths';

/** Arcs are drawn through so many points; lines through their ends. */
const POINTS = 8;

const at = ({ x, y }: Frame, z: number, r: number) => `${x(z).toFixed(2)},${y(r).toFixed(2)}`;

function along(frame: Frame, curve: Curve, z0: number, z1: number): string[] {
  const steps = 'radius' in curve ? POINTS : 1;
  return Array.from({ length: steps + 1 }, (_, index) => {
    const z = z0 + ((z1 - z0) * index) / steps;
    return at(frame, z, radiusAt(curve, z));
  });
}

/** The metal of one half of a section, cut off towards the chuck. */
export const sectionPath = (frame: Frame, section: Section, to: number): string =>
  section
    .filter(({ z0 }) => z0 < to)
    .flatMap(({ z0, z1, bands }) =>
      bands.map(({ low, high }) => {
        const end = Math.min(z1, to);
        return `M${[...along(frame, high, z0, end), ...along(frame, low, z0, end).reverse()].join('L')}Z`;
      }),
    )
    .join('');

/** Radii at which the bands of a slab begin and end at a place, rising. */
const borders = (slab: Slab | undefined, z: number): number[] =>
  (slab?.bands ?? []).flatMap(({ low, high }) => [radiusAt(low, z), radiusAt(high, z)]);

/** What is in one of two rising lists of intervals and not in both, as radii from and to. */
function walls(left: number[], right: number[]): [number, number][] {
  const all = [...left, ...right].sort((a, b) => a - b);
  return all
    .slice(1)
    .map((to, index): [number, number] => [all[index] ?? to, to])
    .filter((_, index) => index % 2 === 0);
}

/** The outline of the same: along its curves, and down its walls. */
export function sectionOutline(frame: Frame, section: Section, to: number): string {
  const seen = section.filter(({ z0 }) => z0 < to);
  const curves = seen.flatMap(({ z0, z1, bands }) =>
    bands.flatMap(({ low, high }) =>
      [high, low]
        .filter((curve) => radiusAt(curve, (z0 + z1) / 2) > 1e-6)
        .map((curve) => `M${along(frame, curve, z0, Math.min(z1, to)).join('L')}`),
    ),
  );
  const places = [...new Set(seen.flatMap(({ z0, z1 }) => [z0, z1]))].filter((z) => z < to);
  const down = places.flatMap((z) =>
    walls(
      borders(
        seen.find(({ z1 }) => Math.abs(z1 - z) < 1e-5),
        z,
      ),
      borders(
        seen.find(({ z0 }) => Math.abs(z0 - z) < 1e-5),
        z,
      ),
    )
      .filter(([r0, r1]) => r1 - r0 > 1e-4)
      .map(([r0, r1]) => `M${at(frame, z, r0)}L${at(frame, z, r1)}`),
  );
  return [...curves, ...down].join('');
}

/** A body about its reference point, at a place. */
export const bodyPath = (frame: Frame, polygon: readonly Point[], place: Point): string =>
  `M${polygon.map(({ z, r }) => at(frame, z + place.z, r + place.r)).join('L')}Z`;

/** A piece of an edge: its nose as a circle. */
export function edgePiecePath(frame: Frame, piece: EdgePiece, place: Point): string {
  if (!('disc' in piece)) return bodyPath(frame, piece.polygon, place);
  const { z, r, radius } = piece.disc;
  const [x0, x1] = [frame.x(place.z + z - radius), frame.x(place.z + z + radius)];
  const y = frame.y(place.r + r);
  const size = Math.abs(x1 - x0) / 2;
  return `M${x0},${y}A${size},${size} 0 1 0 ${x1},${y}A${size},${size} 0 1 0 ${x0},${y}Z`;
}
