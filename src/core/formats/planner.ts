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
}

/** Answers an edit. */
export function answer(file: RunFile, shop: Shop): Answer {
  const plan = planFile(file, shop);
  return {
    plan: plan.ok ? plan.value : undefined,
    problems: plan.ok ? [] : plan.problems,
    sketch: plan.ok ? plan.value.run.part : sketchPart(file.part, file.units),
  };
}
