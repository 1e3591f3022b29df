import type { HalfNuts } from '../../model/plan/gearing';
import type { Leadscrew } from '../../model/shop/machine';

const isWhole = (value: number): boolean => value > 0.5 && Math.abs(value - Math.round(value)) < 1e-6;

/**
 * Half-nuts for a thread (trade: Wheels). They go in at every whole pitch of the leadscrew: anywhere where that is a whole number
 * of the thread's; else at marks of the dial whose distance is one; else they stay shut and the spindle runs back.
 * @param pitch that the train really cuts, mm
 */
export function halfNutsFor(pitch: number, { pitch: lead, dial }: Leadscrew): HalfNuts {
  if (isWhole(lead / pitch)) return { open: 'anywhere' };
  if (!dial) return { open: 'never' };
  const turn = dial.wheel * lead;
  for (let every = 1; every <= dial.lines; every += 1) {
    if (dial.lines % every !== 0) continue;
    const apart = (turn * every) / dial.lines;
    if (isWhole(apart / lead) && isWhole(apart / pitch))
      return { open: 'at-marks', every, same: every === dial.lines, apart };
  }
  return { open: 'never' };
}
