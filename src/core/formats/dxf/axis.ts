import { sayFigure } from '../../model/units/mark';
import { TINY, type Edge } from './edge';

/** So many of a drawing's corners have their like on the other side of its axis, where it is drawn whole. */
const LIKE = 0.95;

/** Corners nearer than this share of the drawing's height are one. */
const NEAR = 1e-3;

/**
 * The level about which a drawing is the same above and below: where a whole view is drawn. A half profile that is as high as one
 * plain cylinder is the same about its middle too, and is none.
 */
function symmetryOf(edges: readonly Edge[]): number | undefined {
  const corners = edges.flatMap(({ from, to }) => [from, to]);
  const [low, high] = [Math.min(...corners.map(({ y }) => y)), Math.max(...corners.map(({ y }) => y))];
  const middle = (low + high) / 2;
  const near = NEAR * (high - low) + TINY;
  const keyOf = (x: number, y: number) => `${Math.round(x / near)} ${Math.round(y / near)}`;
  const there = new Set(corners.map(({ x, y }) => keyOf(x, y - middle)));
  const isThere = (x: number, y: number) =>
    [-1, 0, 1].some((dx) => [-1, 0, 1].some((dy) => there.has(keyOf(x + dx * near, y + dy * near))));
  const alike = corners.filter(({ x, y }) => isThere(x, middle - y)).length;
  const levels = new Set(corners.map(({ y }) => Math.round(Math.abs(y - middle) / near)));
  return alike >= LIKE * corners.length && levels.size > 1 ? middle : undefined;
}

/** y of the axis: as pointed at, of a level centre line, where a whole view is the same on both sides, or the lowest of the drawing. */
export function axisOf(
  edges: readonly Edge[],
  centres: readonly Edge[],
  asked: number | undefined,
  told: string[],
): number {
  if (asked !== undefined) return asked;
  const level = centres.find(({ from, to }) => Math.abs(from.y - to.y) < TINY && Math.abs(from.x - to.x) > TINY);
  if (level) return level.from.y;
  const symmetry = symmetryOf(edges);
  if (symmetry !== undefined) {
    told.push(`no centre line was found: it is the same above and below y ${sayFigure(symmetry, 4)}, its axis`);
    return symmetry;
  }
  const lowest = Math.min(...edges.flatMap(({ from, to }) => [from.y, to.y]));
  told.push(`no centre line was found: the lowest line, at y ${sayFigure(lowest, 4)}, is taken for the axis`);
  return lowest;
}
