import type { Part, Step } from '../model/part/part';
import type { CuttingValues, Tool } from '../model/shop/shop';
import { threadToolOf } from '../model/shop/threadTool';
import { CLOSE } from '../model/tolerances';

/**
 * A part whose threads that begin at a face are turned to the middle of the lower half of their limits, where a die cuts them:
 * it raises the crests a little (trade: Cutting). What the drawing gives limits of its own keeps them.
 * @param tools of the shop, with those that it can get
 */
export function blanksForDies(part: Part, tools: readonly Tool[], { dieUpTo }: CuttingValues): Part {
  const dies = part.features.filter(
    ({ thread, bore, z0, z1 }) =>
      thread &&
      !bore &&
      (z0 < CLOSE || z1 > part.length - CLOSE) &&
      thread.diameter <= dieUpTo + CLOSE &&
      threadToolOf('die', thread, tools),
  );
  const lowered = (step: Step): Step => {
    const { diameter, zFrom, zTo } = step;
    const isCutSo = dies.some(({ z0, z1 }) => z0 < zTo - CLOSE && z1 > zFrom + CLOSE);
    if (!isCutSo || diameter.from !== 'general' || diameter.open) return step;
    const { nominal, lower, upper } = diameter;
    return { ...step, diameter: { ...diameter, aim: nominal + lower + (upper - lower) / 4 } };
  };
  return dies.length > 0 ? { ...part, steps: part.steps.map(lowered) } : part;
}
