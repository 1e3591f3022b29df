import type { Leadscrew } from '../../model/shop/machine';
import type { GearTrain } from '../../model/plan/gearing';
import { isExact, trainsWithin, type WantedPitch } from './trains';

/** A wheel that is not on hand, and the train that it would make. */
export interface OneMoreWheel {
  teeth: number;
  train: GearTrain;
}

/**
 * The wheel that would bring a pitch within so many ppm: one that makes it exact before any other, then the nearest, then the
 * smallest (trade: Wheels). Undefined where no single one does.
 * @param range fewest and most teeth that a wheel may have
 */
export function oneMoreWheel(
  wanted: WantedPitch,
  leadscrew: Leadscrew,
  within: number,
  [least, most]: readonly [number, number],
): OneMoreWheel | undefined {
  let best: OneMoreWheel | undefined;
  for (let teeth = least; teeth <= most; teeth += 1) {
    const [train] = trainsWithin(wanted, { ...leadscrew, gears: [...leadscrew.gears, teeth] }, within).toSorted(
      (a, b) => Math.abs(a.error) - Math.abs(b.error),
    );
    if (train && isExact(train)) return { teeth, train };
    if (train && (!best || Math.abs(train.error) < Math.abs(best.train.error))) best = { teeth, train };
  }
  return best;
}
