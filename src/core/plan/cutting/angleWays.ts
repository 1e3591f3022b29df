import type { ShopForRun } from '../../model/shop/shop';
import { errorAtEnd } from './compound';

/** A way of setting an angle, and the error it leaves (trade: Shop arithmetic): of the angle, degrees, and on the far diameter, mm. */
export interface AngleWay {
  by: 'compound' | 'post';
  /** What it is set to, degrees from the axis. */
  at: number;
  error: number;
  atEnd: number;
}

/**
 * The ways of the machine to an angle from the axis: the compound by its protractor, which may be out by as much either
 * way, and the post by its steps, of which the nearest is known.
 * @param length of the cone along the axis, mm
 */
export function angleWays(half: number, length: number, { machine, cutting }: ShopForRun): AngleWay[] {
  const way = (by: AngleWay['by'], at: number, error: number): AngleWay => ({
    by,
    at,
    error,
    atEnd: Math.abs(errorAtEnd(length, half, error)),
  });
  const step = machine.post?.step;
  const nearest = step === undefined ? 0 : Math.round(half / step) * step;
  return [
    way('compound', half, cutting.compoundWithin),
    // Along the axis, or square to it, the edge cuts no cone.
    ...(step !== undefined && nearest > 0 && nearest < 90 ? [way('post', nearest, nearest - half)] : []),
  ];
}
