import { clip, cylinder, lower, mirror, radiusAt, volume, widen, type Profile } from './profile';

/** The work as it is at one moment, seen from the end that is being worked: outside and bore over the same z. */
export interface Workpiece {
  outside: Profile;
  bore: Profile;
}

/** What an operation takes away. */
export interface Removal {
  outside?: Profile;
  bore?: Profile;
  /** Everything before this z is gone. */
  faceAt?: number;
  /** Everything behind this z is gone. */
  partedAt?: number;
}

/** A solid bar from z0 to z1. */
export const solid = (z0: number, z1: number, diameter: number): Workpiece => ({
  outside: [cylinder(z0, z1, diameter / 2)],
  bore: [cylinder(z0, z1, 0)],
});

/** The work after a removal. */
export function remove(work: Workpiece, { outside, bore, faceAt, partedAt }: Removal): Workpiece {
  const trimmed = (profile: Profile) => (faceAt === undefined && partedAt === undefined ? profile : clip(profile, faceAt ?? -Infinity, partedAt ?? Infinity));
  return {
    outside: trimmed(outside ? lower(work.outside, outside) : work.outside),
    bore: trimmed(bore ? widen(work.bore, bore) : work.bore),
  };
}

/** The work turned round in its holding. */
export const turnedRound = ({ outside, bore }: Workpiece, length: number): Workpiece => ({
  outside: mirror(outside, length),
  bore: mirror(bore, length),
});

/** Metal in the work, mm³. */
export const metal = ({ outside, bore }: Workpiece): number => volume(outside) - volume(bore);

/** A wall and the outside diameter over it, mm. */
export interface Wall {
  wall: number;
  diameter: number;
}

/** The wall that is thinnest for its diameter, over the length of the bore; undefined for solid work. */
export function thinnestWall({ outside, bore }: Workpiece): Wall | undefined {
  const places = [...new Set([...outside, ...bore].flatMap(({ z0, z1 }) => [z0, z1]))].sort((a, b) => a - b);
  // A hair inside either end of every stretch without a corner, so that a shoulder counts with both its sides.
  const hair = 1e-6;
  const walls = places.slice(1).flatMap((end, index) =>
    [(places[index] ?? end) + hair, end - hair].flatMap((z): Wall[] => {
      const [outer, inner] = [radiusAt(outside, z), radiusAt(bore, z)];
      return inner > 10 * hair ? [{ wall: outer - inner, diameter: 2 * outer }] : [];
    }),
  );
  return walls.length === 0 ? undefined : walls.reduce((a, b) => (b.wall / b.diameter < a.wall / a.diameter ? b : a));
}
