import { isRecess, type Part, type Step } from '../part/part';
import { gradeOf } from '../part/tolerance';
import type { CuttingValues } from './shop';

/**
 * Diameters that abrasives bring to their last hundredth (trade: Cutting): smoother than turning leaves by itself, or held
 * closer than the machine turns; not what is ground or honed elsewhere, nor what a recess is cut from.
 */
export function polishedSteps(part: Part, { polishFrom, finestGrade }: CuttingValues): Step[] {
  const { steps, elsewhere } = part;
  const isSent = (path: string) =>
    elsewhere.some(({ kind, on }) => ['grind', 'hone'].includes(kind) && on.includes(path));
  return steps.filter(({ path, diameter, roughness = Infinity }) => {
    const isFine =
      diameter.from !== 'general' && gradeOf(diameter.upper - diameter.lower, diameter.nominal) < finestGrade;
    return (roughness < polishFrom || isFine) && !isSent(path) && !isRecess(part, path);
  });
}

/** A part whose polished diameters are turned so much larger, as far as their limits go: the abrasive takes it. */
export function leftToPolish(part: Part, cutting: CuttingValues): Part {
  const polished = polishedSteps(part, cutting).map(({ path }) => path);
  const left = (step: Step): Step => {
    const { diameter } = step;
    const aim = Math.min(diameter.nominal + diameter.upper, diameter.aim + cutting.polishLeft);
    return polished.includes(step.path) ? { ...step, diameter: { ...diameter, aim } } : step;
  };
  return polished.length > 0 ? { ...part, steps: part.steps.map(left) } : part;
}
