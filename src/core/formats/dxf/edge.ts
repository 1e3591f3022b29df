/** A place of a drawing, in its own units. */
export type Point = { x: number; y: number };

/** A straight line, or an arc of a circle: the tangent of a quarter of its angle, positive anticlockwise. */
export interface Edge {
  from: Point;
  to: Point;
  bulge: number;
}

/** Arithmetic of a drawing, in its own units. */
export const TINY = 1e-4;

/** Whether it is no arc: it does not turn, or it has no way to turn on. */
export const isStraight = ({ from, to, bulge }: Edge): boolean =>
  Math.abs(bulge) < 1e-9 || (from.x === to.x && from.y === to.y);

/** Middle and radius of the circle that an arc lies on. */
export function circleOf({ from, to, bulge }: Edge): { x: number; y: number; radius: number } {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const chord = Math.hypot(dx, dy);
  const radius = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge));
  // From the middle of the chord to the left of the way, by how far the arc does not reach half round.
  const off = (chord * (1 - bulge * bulge)) / (4 * bulge);
  return { x: (from.x + to.x) / 2 - (off * dy) / chord, y: (from.y + to.y) / 2 + (off * dx) / chord, radius };
}

/** An arc is shown by so many straight lines. */
const SHOWN = 12;

/** The places along an edge: its ends, and of an arc what shows that it is one. */
export function placesOf(edge: Edge): Point[] {
  const { from, to, bulge } = edge;
  if (isStraight(edge)) return [from, to];
  const { x, y, radius } = circleOf(edge);
  const [begin, turn] = [Math.atan2(from.y - y, from.x - x), 4 * Math.atan(bulge)];
  return Array.from({ length: SHOWN + 1 }, (_, index) => {
    const angle = begin + (turn * index) / SHOWN;
    return { x: x + radius * Math.cos(angle), y: y + radius * Math.sin(angle) };
  });
}

/** An edge cut where it crosses a level line, so that each of its parts lies on one side. */
export function cutAtLevel(edge: Edge, y: number): Edge[] {
  const { from, to, bulge } = edge;
  if (isStraight(edge)) {
    if ((from.y - y) * (to.y - y) >= -TINY * TINY) return [edge];
    const share = (y - from.y) / (to.y - from.y);
    const at = { x: from.x + share * (to.x - from.x), y };
    return [
      { from, to: at, bulge: 0 },
      { from: at, to, bulge: 0 },
    ];
  }
  const { x: middle, y: level, radius } = circleOf(edge);
  const high = radius ** 2 - (y - level) ** 2;
  if (high <= 0) return [edge];
  const angleOf = (at: Point) => Math.atan2(at.y - level, at.x - middle);
  const begin = angleOf(from);
  const turn = 4 * Math.atan(bulge);
  /** How far along the arc a place of its circle lies, of its turn. */
  const along = (at: Point) => {
    const way = (angleOf(at) - begin) * Math.sign(turn);
    return (((way % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)) / Math.abs(turn);
  };
  const places = [-1, 1]
    .map((side) => ({ x: middle + side * Math.sqrt(high), y }))
    .map((at) => ({ at, share: along(at) }))
    .filter(({ share }) => share > 1e-6 && share < 1 - 1e-6)
    .sort((a, b) => a.share - b.share);
  const stops = [{ at: from, share: 0 }, ...places, { at: to, share: 1 }];
  return stops.slice(1).map(({ at, share }, index) => {
    const before = stops[index] as { at: Point; share: number };
    return { from: before.at, to: at, bulge: Math.tan(((share - before.share) * turn) / 4) };
  });
}
