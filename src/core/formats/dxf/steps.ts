import { sayFigure } from '../../model/units/mark';
import type { Lines } from '../../read/lines';
import { TINY } from './edge';
import { figure, type Piece } from './profile';

const isLevel = (piece: Piece | undefined, r: number): boolean =>
  piece !== undefined && !piece.arc && Math.abs(piece.r0 - piece.r1) < TINY && Math.abs(piece.r0 - r) < TINY;

type Detail = Lines['details'][number];

/** A piece that is a detail of the steps beside it, and to which of them its length belongs. */
interface Beside {
  detail: Detail;
  belongs: 'before' | 'after';
}

/** A chamfer of 45° or a quarter of a circle, at the corner between a face and the cylinder beside it. */
function cornerOf(
  { z0, z1, r0, r1, arc }: Piece,
  before: Piece | undefined,
  after: Piece | undefined,
): Beside | undefined {
  const [long, high] = [z1 - z0, Math.abs(r1 - r0)];
  if (Math.abs(long - high) > 1e-3 || (arc && Math.abs(arc.radius - long) > 1e-3)) return undefined;
  // A quarter that ends on the axis is half a ball.
  if (arc && Math.min(r0, r1) < TINY) return undefined;
  const inner = arc?.hollow === true;
  const detail = (at: number): Detail =>
    arc
      ? { kind: 'radius', at: figure(at), size: figure(arc.radius), form: inner ? 'fillet' : 'corner' }
      : { kind: 'chamfer', at: figure(at), size: figure(long) };
  // An outer corner lies on the larger side of the piece, the fillet of a shoulder on the smaller.
  const rises = r1 > r0;
  if (inner) {
    if (rises && isLevel(before, r0)) return { detail: detail(z1), belongs: 'before' };
    if (!rises && isLevel(after, r1)) return { detail: detail(z0), belongs: 'after' };
    return undefined;
  }
  if (rises && isLevel(after, r1)) return { detail: detail(z0), belongs: 'after' };
  if (!rises && isLevel(before, r0)) return { detail: detail(z1), belongs: 'before' };
  return undefined;
}

/** Part of a circle that is cut into one cylinder. */
function hollowOf(
  { z0, z1, r0, r1, arc }: Piece,
  before: Piece | undefined,
  after: Piece | undefined,
): Detail | undefined {
  if (!arc?.hollow || Math.abs(r1 - r0) > TINY || !isLevel(before, r0) || !isLevel(after, r1)) return undefined;
  const half = (z1 - z0) / 2;
  const depth = arc.radius - Math.sqrt(Math.max(0, arc.radius ** 2 - half ** 2));
  return { kind: 'hollow', at: figure((z0 + z1) / 2), radius: figure(arc.radius), depth: figure(depth) };
}

/** The outer outline as steps and details. */
export function stepsOf(outer: readonly Piece[], told: string[]): Pick<Lines, 'outside' | 'details'> {
  const outside: Lines['outside'] = [];
  const details: Lines['details'] = [];
  /** Length that belongs to the next step; or to the last, which goes on behind a form cut into it. */
  let owed = 0;
  let goesOn = false;
  const lengthen = (by: number) => {
    const last = outside.at(-1);
    if (last) last.length = figure(Number(last.length) + by);
  };
  outer.forEach((piece, index) => {
    const { z0, z1, r0, r1, arc } = piece;
    const long = z1 - z0;
    const corner = cornerOf(piece, outer[index - 1], outer[index + 1]);
    const hollow = hollowOf(piece, outer[index - 1], outer[index + 1]);
    if (corner) {
      details.push(corner.detail);
      if (corner.belongs === 'after') owed += long;
      else lengthen(long);
      return;
    }
    if (hollow) {
      details.push(hollow);
      lengthen(long);
      goesOn = true;
      return;
    }
    if (goesOn && isLevel(piece, r0)) {
      goesOn = false;
      return lengthen(long);
    }
    const length = figure(long + owed);
    owed = 0;
    const ends = index === 0 || index === outer.length - 1;
    if (arc && ends && !arc.hollow && Math.min(r0, r1) < TINY)
      outside.push({ shape: 'sphere', diameter: figure(2 * arc.radius), length });
    else if (isLevel(piece, r0)) outside.push({ shape: 'cylinder', diameter: figure(2 * r0), length });
    else {
      if (arc)
        told.push(
          `an arc of radius ${sayFigure(figure(arc.radius))} at ${sayFigure(figure(z0))} is taken as a cone: give the radius as a detail`,
        );
      outside.push({ shape: 'cone', from: figure(2 * r0), to: figure(2 * r1), length });
    }
  });
  return { outside, details };
}
