import type { Feature } from '../part/feature';
import type { Elsewhere } from '../part/elsewhere/elsewhere';
import type { Hole, Part, Step } from '../part/part';
import type { Size } from '../part/size';
import type { OutsideValues } from '../shop/shop';

/** What a surface is left larger by for work elsewhere, on its diameter, mm; and whether that work sets its size. */
interface Left {
  by: number;
  setsSize: boolean;
}

const NOTHING: Left = { by: 0, setsSize: false };

/** What one kind of work wants left: on an outside; in a bore the same is left narrower. */
function leftBy({ kind, length }: Elsewhere, outside: OutsideValues): Left {
  if (kind === 'grind') return { by: length ?? outside.leaveToGrind, setsSize: true };
  if (kind === 'hone') return { by: length ?? outside.leaveToHone, setsSize: true };
  if (kind === 'plate') return { by: -2 * (length ?? 0), setsSize: false };
  return { by: -(length ?? 0), setsSize: false };
}

/** Everything that work elsewhere wants left on one surface. */
const leftOn = (path: string, elsewhere: readonly Elsewhere[], outside: OutsideValues): Left =>
  elsewhere
    .filter(({ on }) => on.length === 0 || on.includes(path))
    .map((own) => leftBy(own, outside))
    .reduce((a, b) => ({ by: a.by + b.by, setsSize: a.setsSize || b.setsSize }), NOTHING);

/**
 * A size as the lathe has to make it. What is ground or honed is left within an eighth of what is left; what is plated or
 * grows keeps its limits.
 */
function sizeLeft(size: Size, { by, setsSize }: Left, share: number): Size {
  if (!setsSize) return { ...size, lower: size.lower + by, upper: size.upper + by, aim: size.aim + by };
  const middle = (size.lower + size.upper) / 2 + by;
  const within = Math.abs(by) * share;
  const { nominal } = size;
  return { nominal, from: 'limits', lower: middle - within, upper: middle + within, aim: nominal + middle };
}

/** The part as the lathe leaves it for the work that the drawing wants done elsewhere (handbook 13). */
export function leftForElsewhere(part: Part, outside: OutsideValues): Part {
  const { elsewhere } = part;
  if (elsewhere.length === 0) return part;
  const leave = (path: string) => leftOn(path, elsewhere, outside);
  const within = outside.leftWithin;
  const step = (own: Step): Step => {
    const left = leave(own.path);
    if (left.by === 0) return own;
    return { ...own, diameter: sizeLeft(own.diameter, left, within), leaves: left.by };
  };
  const hole = (own: Hole): Hole => {
    const left = leave(own.path);
    return left.by === 0 ? own : { ...own, diameter: sizeLeft(own.diameter, { ...left, by: -left.by }, within) };
  };
  const feature = (own: Feature): Feature => {
    const left = leave(own.path);
    if (left.by === 0 || !own.bore || !own.size || own.thread) return own;
    const size = sizeLeft(own.size, { ...left, by: -left.by }, within);
    const off = (size.aim - own.size.aim) / 2;
    const bore = own.bore.map((segment) => ({ ...segment, r0: segment.r0 + off, r1: segment.r1 + off }));
    return { ...own, size, bore };
  };
  return { ...part, steps: part.steps.map(step), holes: part.holes.map(hole), features: part.features.map(feature) };
}
