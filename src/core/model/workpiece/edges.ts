import type { Profile } from './segment';
import type { Segment } from './profile';
import type { Workpiece } from './workpiece';

/** A corner where the metal stands out, on the outside or in the bore. z of the work, mm. */
export interface Edge {
  z: number;
  r: number;
  inside: boolean;
  /** How far the outline turns there, degrees: 90 is a square corner, 45 one of those of a chamfer. */
  turns: number;
}

interface Piece {
  from: { z: number; r: number };
  to: { z: number; r: number };
  /** Direction that it sets out in, and the one that it arrives in. */
  leaves: { z: number; r: number };
  arrives: { z: number; r: number };
  inside: boolean;
}

const TINY = 1e-6;

/** Direction of a segment at one of its ends, towards the chuck. */
function along({ z0, z1, r0, r1, arc }: Segment, at: 'start' | 'end'): { z: number; r: number } {
  if (!arc) return { z: z1 - z0, r: r1 - r0 };
  const [z, r] = at === 'start' ? [z0, r0] : [z1, r1];
  // Square to the radius, and on towards the chuck.
  const [dz, dr] = [r - arc.r, arc.z - z];
  return dz > TINY || (Math.abs(dz) <= TINY && (at === 'start' ? r1 >= r0 : r1 < r0) === dr > 0)
    ? { z: dz, r: dr }
    : { z: -dz, r: -dr };
}

function straight(from: Piece['from'], to: Piece['to'], inside: boolean): Piece[] {
  const direction = { z: to.z - from.z, r: to.r - from.r };
  return Math.hypot(direction.z, direction.r) < TINY
    ? []
    : [{ from, to, leaves: direction, arrives: direction, inside }];
}

/** The pieces of a profile with the shoulders between them, towards the chuck. */
const withShoulders = (profile: Profile, inside: boolean): Piece[] =>
  profile.flatMap((segment, index) => {
    const before = profile[index - 1];
    const from = { z: segment.z0, r: segment.r0 };
    const shoulder = before ? straight({ z: before.z1, r: before.r1 }, from, inside) : [];
    const here = {
      from,
      to: { z: segment.z1, r: segment.r1 },
      leaves: along(segment, 'start'),
      arrives: along(segment, 'end'),
      inside,
    };
    return [...shoulder, here];
  });

const backwards = ({ from, to, leaves, arrives, inside }: Piece): Piece => ({
  from: to,
  to: from,
  leaves: { z: -arrives.z, r: -arrives.r },
  arrives: { z: -leaves.z, r: -leaves.r },
  inside,
});

/** The outline of the metal above the axis: up the front face, along the outside, down the back face, and the bore. */
function outlineOf({ outside, bore }: Workpiece): Piece[] {
  const [first, last] = [outside[0], outside.at(-1)];
  if (!first || !last) return [];
  const hole = withShoulders(bore, true).map(backwards).reverse();
  const [back, front] = [hole[0]?.from ?? { z: last.z1, r: 0 }, hole.at(-1)?.to ?? { z: first.z0, r: 0 }];
  return [
    ...straight(front, { z: first.z0, r: first.r0 }, false),
    ...withShoulders(outside, false),
    ...straight({ z: last.z1, r: last.r1 }, back, false),
    ...hole,
  ];
}

/**
 * Every edge of the work that stands out by more than an angle, in the order of its outline: from the front along the
 * outside to the back, then the bore back to the front. The axis itself has none.
 * @param sharperThan degrees that the outline must turn for an edge to be sharp
 */
export function edgesOf(work: Workpiece, sharperThan: number): Edge[] {
  const outline = outlineOf(work);
  return outline.flatMap((piece, index): Edge[] => {
    const next = outline[(index + 1) % outline.length];
    if (!next || piece.to.r < TINY) return [];
    const [into, out] = [piece.arrives, next.leaves];
    // The metal lies to the right of the way round: where the way turns right, it stands out.
    const across = into.z * out.r - into.r * out.z;
    const turns = (Math.atan2(-across, into.z * out.z + into.r * out.r) * 180) / Math.PI;
    if (turns <= sharperThan) return [];
    return [{ ...piece.to, inside: piece.inside || next.inside, turns }];
  });
}
