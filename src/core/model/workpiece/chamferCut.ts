import type { Segment } from './segment';

/** The cut of a chamfer: `along` z, `down` in radius, from the corner at z. */
export const chamferCut = (
  z: number,
  radius: number,
  along: number,
  down: number,
  faces: 'front' | 'back',
): Segment[] =>
  faces === 'front'
    ? [{ z0: z, z1: z + along, r0: radius - down, r1: radius }]
    : [{ z0: z - along, z1: z, r0: radius, r1: radius - down }];
