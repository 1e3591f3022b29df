import type { Run } from '../../model/run';
import type { Elsewhere } from '../../model/part/elsewhere';
import type { Feature } from '../../model/part/feature';
import type { Hole, Part, Step } from '../../model/part/part';
import type { Size } from '../../model/part/size';
import type { OutsideValues } from '../../model/shop/shop';
import { leftLong } from './leftLong';

/** What surfaces are left larger by for work elsewhere, on their diameters, mm; and whether that work sets the size. */
interface Left {
  outside: number;
  bore: number;
  setsSize: boolean;
}

/** What one kind of work wants left: what is taken off or put on has the other sign in a bore, what grows the same. */
function leftBy({ kind, length }: Elsewhere, values: OutsideValues): Left {
  const takenOff = (much: number): Left => ({ outside: much, bore: -much, setsSize: true });
  if (kind === 'grind') return takenOff(length ?? values.leaveToGrind);
  if (kind === 'hone') return takenOff(length ?? values.leaveToHone);
  if (kind === 'plate') return { ...takenOff(-2 * (length ?? 0)), setsSize: false };
  return { outside: -(length ?? 0), bore: -(length ?? 0), setsSize: false };
}

/** Everything that work elsewhere wants left on one surface. */
const leftOn = (path: string, elsewhere: readonly Elsewhere[], values: OutsideValues): Left =>
  elsewhere
    .filter(({ on }) => on.length === 0 || on.includes(path))
    .map((later) => leftBy(later, values))
    .reduce((a, b) => ({ outside: a.outside + b.outside, bore: a.bore + b.bore, setsSize: a.setsSize || b.setsSize }), {
      outside: 0,
      bore: 0,
      setsSize: false,
    });

/**
 * A size as the lathe has to make it. What is ground or honed is turned within a share of what is left; what is plated or
 * grows keeps its limits.
 */
function sizeLeft(size: Size, by: number, setsSize: boolean, share: number): Size {
  if (!setsSize) return { ...size, lower: size.lower + by, upper: size.upper + by, aim: size.aim + by };
  const middle = (size.lower + size.upper) / 2 + by;
  const within = Math.abs(by) * share;
  const { nominal } = size;
  return { nominal, from: 'limits', lower: middle - within, upper: middle + within, aim: nominal + middle };
}

/** The part as the lathe leaves it for the work that the drawing wants done elsewhere (trade: Shop arithmetic). */
export function leftForElsewhere(part: Part, outside: OutsideValues): Part {
  const { elsewhere } = part;
  if (elsewhere.length === 0) return part;
  const leave = (path: string) => leftOn(path, elsewhere, outside);
  const within = outside.leftWithin;
  const step = (drawn: Step): Step => {
    const { outside: by, setsSize } = leave(drawn.path);
    return by === 0 ? drawn : { ...drawn, diameter: sizeLeft(drawn.diameter, by, setsSize, within), leaves: by };
  };
  const hole = (drawn: Hole): Hole => {
    const { bore: by, setsSize } = leave(drawn.path);
    return by === 0 ? drawn : { ...drawn, diameter: sizeLeft(drawn.diameter, by, setsSize, within) };
  };
  const feature = (drawn: Feature): Feature => {
    const { bore: by, setsSize } = leave(drawn.path);
    if (by === 0 || !drawn.bore || !drawn.size || drawn.thread) return drawn;
    const size = sizeLeft(drawn.size, by, setsSize, within);
    const off = (size.aim - drawn.size.aim) / 2;
    const bore = drawn.bore.map((segment) => ({ ...segment, r0: segment.r0 + off, r1: segment.r1 + off }));
    return { ...drawn, size, bore };
  };
  const left = {
    ...part,
    steps: part.steps.map(step),
    holes: part.holes.map(hole),
    features: part.features.map(feature),
  };
  return leftLong(left, elsewhere, outside);
}

/** A run with its part as the lathe leaves it. */
export const asLeft = (run: Run): Run => ({ ...run, part: leftForElsewhere(run.part, run.shop.outside) });
