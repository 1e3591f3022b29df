import { massOf, type Mass } from '../part/mass';
import type { Part } from '../part/part';
import { sketchPart } from '../part/sketch';
import { planFile, type Plan } from '../plan';
import type { Problem } from '../result';
import type { Shop } from '../shop/shop';
import type { RunFile } from './runFile';

/** What the page shows of a run while it is edited: the plan or what is in its way, and as much of the part as there is. */
export interface Answer {
  plan: Plan | undefined;
  problems: Problem[];
  sketch: Part | undefined;
  /** Of the sketch; of no weight as long as the material is not known. */
  mass: Mass | undefined;
}

/** Answers an edit. */
export function answer(file: RunFile, shop: Shop): Answer {
  const plan = planFile(file, shop);
  const sketch = plan.ok ? plan.value.run.part : sketchPart(file.part, file.units);
  const density = shop.materials.find(({ id }) => id === file.part.material)?.density ?? 0;
  return {
    plan: plan.ok ? plan.value : undefined,
    problems: plan.ok ? [] : plan.problems,
    sketch,
    mass: sketch && massOf(sketch, density),
  };
}
