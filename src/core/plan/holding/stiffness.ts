import type { Part } from '../../model/part/part';
import type { Turned } from '../../model/plan/setup';
import { cylinder } from '../../model/workpiece/profile';
import { stiffAs } from '../cutting/beam';
import type { Attempt } from './layout';

/** The straight bar that bends as the work does when only its last diameter, at the free end, is still to be finished, mm. */
export function stiffnessOf({ run, stock }: Attempt, view: Part, turned: readonly Turned[], jaws: number): number {
  const steps = turned
    .flatMap(({ path, to }) => view.steps.flatMap((step) => (step.path === path ? [{ ...step, to }] : [])))
    .toSorted((a, b) => a.zFrom - b.zFrom);
  const [free] = steps;
  if (!free) return Infinity;
  const outside = steps.map((step) =>
    cylinder(step.zFrom, step.to, step.diameter.aim / 2 + (step === free ? run.shop.allowances.finishPerSide : 0)),
  );
  const end = steps.at(-1)?.to ?? 0;
  return stiffAs({ outside: [...outside, cylinder(end, jaws, stock.over / 2)], bore: [] }, free.zFrom, jaws);
}
