import type { Profile } from './segment';
import { clip, cylinder, lower, mirror, radiusOn, volume, widen } from './profile';

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
  const trimmed = (profile: Profile) =>
    faceAt === undefined && partedAt === undefined ? profile : clip(profile, faceAt ?? -Infinity, partedAt ?? Infinity);
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
  let thinnest: Wall | undefined;
  for (const inner of bore) {
    if (inner.r0 === 0 && inner.r1 === 0) continue;
    for (const outer of outside) {
      const [from, to] = [Math.max(inner.z0, outer.z0), Math.min(inner.z1, outer.z1)];
      if (to - from < 1e-9) continue;
      // Both are straight here, so the thinnest place is at one of the ends.
      for (const z of [from, to]) {
        const [outside, hole] = [radiusOn(outer, z), radiusOn(inner, z)];
        const wall = { wall: outside - hole, diameter: 2 * outside };
        if (hole > 0 && outside > 0 && (!thinnest || wall.wall / wall.diameter < thinnest.wall / thinnest.diameter))
          thinnest = wall;
      }
    }
  }
  return thinnest;
}

/** The same between two places along the work, z in mm. */
export const thinnestBetween = ({ outside, bore }: Workpiece, from: number, to: number): Wall | undefined =>
  thinnestWall({ outside: clip(outside, from, to), bore: clip(bore, from, to) });
