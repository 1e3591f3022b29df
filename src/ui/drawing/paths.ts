import type { Profile } from '@/core/model/workpiece/segment';
import type { Removal, Workpiece } from '@/core/model/workpiece/workpiece';

/** Where z and radius come to lie on the drawing, px. Both at one scale: the drawing is never stretched. */
export interface Frame {
  x: (z: number) => number;
  y: (radius: number) => number;
}

const at = ({ x, y }: Frame, z: number, r: number) => `${x(z).toFixed(2)},${y(r).toFixed(2)}`;
const along = (frame: Frame, profile: Profile) =>
  profile.flatMap(({ z0, z1, r0, r1 }) => [at(frame, z0, r0), at(frame, z1, r1)]);

/** The metal of one half of a section: between its outside and its bore. */
export function metalPath(frame: Frame, { outside, bore }: Workpiece): string {
  const back = [...bore].reverse().flatMap(({ z0, z1, r0, r1 }) => [at(frame, z1, r1), at(frame, z0, r0)]);
  return `M${[...along(frame, outside), ...back].join('L')}Z`;
}

/** Everything within the outside of one half, down to the axis. */
export function fullPath(frame: Frame, outside: Profile): string {
  const [first, last] = [outside[0], outside.at(-1)];
  if (!first || !last) return '';
  return `M${at(frame, first.z0, 0)}L${along(frame, outside).join('L')}L${at(frame, last.z1, 0)}Z`;
}

/** The outline of a half, open at the axis. */
export const outlinePath = (frame: Frame, profile: Profile): string =>
  profile.length === 0 ? '' : `M${along(frame, profile).join('L')}`;

/** The edge that a removal makes; what takes nothing away runs along its surface. */
export function edgePath(
  frame: Frame,
  { outside, bore, faceAt, partedAt }: Removal,
  from: number,
  radius: number,
  surface?: { to: number; radius: number },
): string {
  const shape = outside ?? bore;
  if (shape) {
    const seen = shape
      .map((segment) => ({ ...segment, z0: Math.max(segment.z0, from) }))
      .filter(({ z0, z1 }) => z1 > z0);
    return outlinePath(frame, seen);
  }
  if (surface && faceAt === undefined && partedAt === undefined)
    return `M${at(frame, from, surface.radius)}L${at(frame, surface.to, surface.radius)}`;
  const z = faceAt ?? partedAt ?? 0;
  return `M${at(frame, z, 0)}L${at(frame, z, radius)}`;
}
