import { EDGE_THROUGH } from '../../model/tolerances';
import type { EdgePlace } from '../../model/plan/edgeWay';
import { halfAngle } from '../cutting/compound';
import { largestRadius, type Segment } from '../../model/workpiece/profile';
import type { Workpiece } from '../../model/workpiece/workpiece';

/** Outside of everything that turns between two places, and an approach away. */
export const clearOf = ({ outside }: Workpiece, z0: number, z1: number, approach: number): number =>
  largestRadius(outside, z0, z1) + approach;

/** At rapid. */
export const rapid = (z: number, r: number): EdgePlace => ({ z, r, by: 'rapid' });

/** Along the axis at one radius, out at the end, and back outside of the work. */
export const along = (z0: number, z1: number, r: number, clear: number): EdgePlace[] => [
  { z: z0, r: clear },
  { z: z0, r },
  { z: z1, r },
  { z: z1, r: clear },
  rapid(z0, clear),
];

/** Across a face from outside to past its core, and back before it. */
export const across = (z: number, clear: number, core: number, approach: number): EdgePlace[] => [
  { z, r: clear },
  { z, r: core },
  rapid(z - approach, core),
  rapid(z - approach, clear),
];

/** Along a floor to its wall, up that so far that no rib of the layer before stays, and off it. */
export const outwards = (z: number, r: number, back: number): EdgePlace[] => [
  { z, r },
  { z: z - back, r },
  rapid(z - back, r - back),
];

/** Straight in and out again. */
export const plunge = (z: number, r: number, clear: number): EdgePlace[] => [
  { z, r: clear },
  { z, r },
  rapid(z, clear),
];

/** Straight in, along the bottom to another place, and out. */
export const plungeAlong = (z0: number, z1: number, r: number, clear: number): EdgePlace[] => [
  { z: z0, r: clear },
  { z: z0, r },
  { z: z1, r },
  rapid(z1, clear),
];

/** Through the middle, or to the wall of a hole and a little beyond. */
export const throughTo = (core: number): number => core - EDGE_THROUGH;

/** In along the axis and out again. */
export const intoHole = (z0: number, tip: number): EdgePlace[] => [{ z: z0, r: 0 }, { z: tip, r: 0 }, rapid(z0, 0)];

/** The same by its own pitch, both ways. */
export const intoThread = (z0: number, z1: number): EdgePlace[] => [
  { z: z0, r: 0 },
  { z: z1, r: 0, by: 'thread' },
  { z: z0, r: 0, by: 'thread' },
];

/**
 * A bar along a bore and back; at a flat bottom inwards first, to the middle or to the hole that goes on, and out where
 * it is clear all round.
 */
export function alongBore(
  z0: number,
  z1: number,
  r: number,
  bottom: { core: number; middle: number } | undefined,
): EdgePlace[] {
  const way = [
    { z: z0, r },
    { z: z1, r },
  ];
  if (!bottom) return [...way, rapid(z0, r)];
  return [...way, { z: z1, r: bottom.core }, rapid(z1, bottom.middle), rapid(z0, bottom.middle)];
}

/**
 * A helix along the leadscrew from one place to another, and back outside of the work.
 * @param turn how far a turn goes, mm, before the one place or behind the other where nothing lets the tool in or out there: it
 * is fed in or drawn out while it turns
 */
export const alongThread = (
  from: number,
  to: number,
  r: number,
  clear: number,
  turn: { before?: number; behind?: number } = {},
): EdgePlace[] => {
  const begin = from - (turn.before ?? 0);
  return [
    { z: begin, r: clear },
    turn.before ? { z: from, r, by: 'thread' } : rapid(from, r),
    { z: to, r, by: 'thread' },
    turn.behind ? { z: to + turn.behind, r: clear, by: 'thread' } : rapid(to, clear),
    rapid(begin, clear),
  ];
};

/** How a flank ends: in the open, level with what goes on, in a corner with that, or at a wall square to the axis. */
export type FlankEnd = 'open' | 'level' | 'corner' | 'wall';

/**
 * The way of a nose along a straight flank, its reference point beside the flank so that the nose touches it (textbook).
 * Into a corner it goes no further than it touches both sides; in the open it begins and ends beyond.
 */
export function alongFlank(
  { z0, z1, r0, r1 }: Segment,
  { nose, inside, approach }: { nose: number; inside: boolean; approach: number },
  before: FlankEnd,
  after: FlankEnd,
): [EdgePlace, EdgePlace] {
  const length = Math.hypot(z1 - z0, r1 - r0);
  const [c, s] = [(z1 - z0) / length, (r1 - r0) / length];
  const [dz, dr] = inside ? [nose * (1 + s), nose * (1 - c)] : [nose * (1 - s), nose * (c - 1)];
  const corner = nose * Math.tan(Math.abs(Math.atan2(s, c)) / 2);
  const at = (t: number): EdgePlace => ({ z: z0 + c * t + dz, r: r0 + s * t + dr });
  const first = { open: -approach, level: 0, corner, wall: corner }[before];
  return [
    at(first),
    at({ open: length + EDGE_THROUGH, level: length, corner: length - corner, wall: length - dz / c }[after]),
  ];
}

/** A way inwards that ends where it comes to a radius: beyond it the tool is in a hole, and its back would rub. */
export function notWithin(r: number, from: EdgePlace, to: EdgePlace): EdgePlace {
  if (to.r >= r || from.r <= r) return to;
  return { z: from.z + ((to.z - from.z) * (from.r - r)) / (from.r - to.r), r };
}

/** The low end of a flank, where a straight edge begins. */
export const lowEnd = ({ z0, z1, r0, r1 }: Segment): EdgePlace => (r0 < r1 ? { z: z0, r: r0 } : { z: z1, r: r1 });

/** How far a pointed tool is turned in its post to lie on a flank, degrees to the left. @param edge how its flanks stand to the axis */
export function turnedOnto({ z0, z1, r0, r1 }: Segment, edge: number): number {
  const off = halfAngle(r0, r1, z1 - z0) - edge;
  return Number((r0 < r1 ? off : -off).toFixed(6));
}

/** Into a bore, out to the bottom of its groove, along that, and the same way back, in the middle of the bore. */
export const plungeInside = (z0: number, z1: number, r: number, middle: number, mouth: number): EdgePlace[] => [
  { z: mouth, r: middle },
  rapid(z0, middle),
  { z: z0, r },
  { z: z1, r },
  rapid(z1, middle),
  rapid(mouth, middle),
];
