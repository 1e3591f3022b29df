import { circleOf, isStraight, type Edge, type Point } from './edge';

/** A curve of a drawing: a place for each share of its way, 0 to 1. */
export type Curve = (share: number) => Point;

/** How many places of a curve are held against what stands for it. */
const LOOKED_AT = 16;

/** Halved so often and no oftener: 1 024 lines to a curve. */
const OFTEN = 10;

/** How far a place is from the line between two, in the drawing's units. */
function apart({ from, to }: Edge, { x, y }: Point): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const long = Math.hypot(dx, dy);
  if (long === 0) return Math.hypot(x - from.x, y - from.y);
  const share = Math.min(1, Math.max(0, ((x - from.x) * dx + (y - from.y) * dy) / long ** 2));
  return Math.hypot(x - from.x - share * dx, y - from.y - share * dy);
}

/** The arc from one place to another through the curve's middle: half of its angle stands over the chord there. */
function arcThrough(curve: Curve): Edge {
  const [from, middle, to] = [curve(0), curve(0.5), curve(1)];
  const [ax, ay, bx, by] = [from.x - middle.x, from.y - middle.y, to.x - middle.x, to.y - middle.y];
  // The angle at the middle over the chord is π less half of the arc's; a quarter of the arc's is wanted.
  const seen = Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
  const quarter = (Math.PI - Math.abs(seen)) / 2;
  return { from, to, bulge: -Math.sign(seen || 1) * Math.tan(quarter) };
}

function isArc(arc: Edge, looked: readonly Point[], within: number): boolean {
  if (isStraight(arc)) return false;
  const { x, y, radius } = circleOf(arc);
  return looked.every((place) => Math.abs(Math.hypot(place.x - x, place.y - y) - radius) <= within);
}

const lineOf = (curve: Curve, begin: number, end: number): Edge => ({ from: curve(begin), to: curve(end), bulge: 0 });

const places = (begin: number, end: number): number[] =>
  Array.from({ length: LOOKED_AT - 1 }, (_, index) => begin + ((end - begin) * (index + 1)) / LOOKED_AT);

function straight(curve: Curve, within: number, begin: number, end: number, often: number): Edge[] {
  const edge = lineOf(curve, begin, end);
  if (often === 0 || places(begin, end).every((share) => apart(edge, curve(share)) <= within)) return [edge];
  const middle = (begin + end) / 2;
  return [...straight(curve, within, begin, middle, often - 1), ...straight(curve, within, middle, end, often - 1)];
}

/**
 * A curve as one line or one arc where it is one, else as straight lines, none farther from it than `within`.
 * @param within in the drawing's units
 */
export function edgesAlong(curve: Curve, within: number): Edge[] {
  const line = lineOf(curve, 0, 1);
  const looked = places(0, 1).map(curve);
  if (looked.every((place) => apart(line, place) <= within)) return [line];
  const arc = arcThrough(curve);
  return isArc(arc, looked, within) ? [arc] : straight(curve, within, 0, 1, OFTEN);
}

/** A curve of poles and knots, none heavier than another: by the textbook's triangle of shares (de Boor). */
export function splineOf(poles: readonly Point[], knots: readonly number[], degree: number): Curve | undefined {
  const spans = poles.length - degree;
  if (degree < 1 || spans < 1 || knots.length !== poles.length + degree + 1) return undefined;
  if (knots.some((knot, index) => !Number.isFinite(knot) || knot < (knots[index - 1] ?? knot))) return undefined;
  const [begin, end] = [knots[degree] as number, knots[poles.length] as number];
  if (!(end > begin)) return undefined;
  return (share) => {
    const at = begin + share * (end - begin);
    let span = degree;
    while (span < poles.length - 1 && at >= (knots[span + 1] as number)) span++;
    let row = poles.slice(span - degree, span + 1);
    for (let level = 1; level <= degree; level++)
      row = row.slice(1).map((right, index) => {
        const left = row[index] as Point;
        const low = knots[span - degree + level + index] as number;
        const high = knots[span + 1 + index] as number;
        const part = high > low ? (at - low) / (high - low) : 0;
        return { x: left.x + part * (right.x - left.x), y: left.y + part * (right.y - left.y) };
      });
    return row[0] as Point;
  };
}

/** A curve round an ellipse: its long half from the middle, how long the other is to it, and from where to where, radians. */
export function ellipseOf(middle: Point, long: Point, ratio: number, begin: number, end: number): Curve {
  const turn = end > begin ? end - begin : end - begin + 2 * Math.PI;
  return (share) => {
    const [c, s] = [Math.cos(begin + share * turn), ratio * Math.sin(begin + share * turn)];
    return { x: middle.x + c * long.x - s * long.y, y: middle.y + c * long.y + s * long.x };
  };
}
