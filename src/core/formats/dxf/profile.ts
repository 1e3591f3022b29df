import { cutAtLevel, TINY, type Edge } from './edge';

/** A straight piece or an arc of the half profile: z from the front, radius, mm. */
export interface Piece {
  z0: number;
  z1: number;
  r0: number;
  r1: number;
  /** Radius of an arc, and whether it bulges inwards. */
  arc?: { radius: number; hollow: boolean };
}

/** Gaps up to this are closed, mm. */
export const GAP = 0.05;

/** As it stands in the file, mm. */
export const figure = (mm: number) => Number(mm.toFixed(4));

/**
 * Edges above the axis as pieces over z; the front is the right end. What crosses the axis is cut there; faces across it are left out.
 * @param scale mm to a unit of the drawing
 */
export function piecesOf(drawn: readonly Edge[], axis: number, scale: number, told: string[]): Piece[] {
  const edges = drawn.flatMap((edge) => cutAtLevel(edge, axis));
  const above = edges.filter(({ from, to }) => Math.min(from.y, to.y) > axis - TINY);
  const below = edges.filter(({ from, to }) => Math.max(from.y, to.y) < axis - TINY).length;
  if (below > 0) told.push(`${below} lines below the axis are left out: half a profile is enough`);
  const front = Math.max(...above.flatMap(({ from, to }) => [from.x, to.x]));
  return above.flatMap(({ from, to, bulge }): Piece[] => {
    const [a, b, turn] = from.x >= to.x ? [from, to, bulge] : [to, from, -bulge];
    const piece = {
      z0: (front - a.x) * scale,
      z1: (front - b.x) * scale,
      r0: (a.y - axis) * scale,
      r1: (b.y - axis) * scale,
    };
    if (piece.z1 - piece.z0 < TINY) return [];
    if (Math.abs(bulge) < 1e-9) return piece.r0 < TINY && piece.r1 < TINY ? [] : [piece];
    const chord = Math.hypot(piece.z1 - piece.z0, piece.r1 - piece.r0);
    // From right to left an arc that turns anticlockwise bulges upwards.
    return [{ ...piece, arc: { radius: (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge)), hollow: turn < 0 } }];
  });
}

/** The outer outline from front to back, its small gaps closed; what lies under it is the bore. */
export function outline(pieces: Piece[], told: string[]): { outer: Piece[]; inner: Piece[] } {
  const sorted = [...pieces].sort((a, b) => a.z0 - b.z0 || b.r0 + b.r1 - a.r0 - a.r1);
  const outer: Piece[] = [];
  const inner: Piece[] = [];
  let closed = 0;
  for (const piece of sorted) {
    const end = outer.at(-1)?.z1 ?? 0;
    if (piece.z0 < end - GAP) {
      inner.push(piece);
      continue;
    }
    if (Math.abs(piece.z0 - end) > TINY) closed++;
    outer.push({ ...piece, z0: end });
  }
  if (closed > 0) told.push(`${closed} small gaps were closed`);
  return { outer, inner };
}
