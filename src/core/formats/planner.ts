import { WAYS } from '../model/way';
import { massOf } from '../model/part/mass';
import { sketchPart } from '../read/sketch';
import { planWays, type Plan } from '../plan/plan';
import { good, type Result } from '../model/result';
import type { Shop } from '../model/shop/shop';
import type { Answer, Comparing } from './answer';
import { takenMaterial } from '../model/shop/forRun';
import { readRun } from '../read/readRun';
import type { RunFile } from '../read/runFile';

function answerOf(plan: Result<Plan>, file: RunFile, shop: Shop): Answer {
  const sketch = plan.ok ? plan.value.run.part : sketchPart(file.part, file.units);
  const density = takenMaterial(file.part.material, shop)?.density ?? 0;
  return {
    plan: plan.ok ? plan.value : undefined,
    proof: plan.ok ? plan.value.proof : undefined,
    problems: plan.ok ? [] : plan.problems,
    sketch,
    mass: sketch && massOf(sketch, density),
  };
}

/** A plan of one way with the others as they were before, and for the same reason. */
function asBefore(plan: Plan, before: Comparing): Plan {
  const others = before.ways.filter(({ way }) => way !== plan.way);
  const known = [...plan.ways, ...others];
  const ways = WAYS.flatMap((way) => known.find((outcome) => outcome.way === way) ?? []);
  return { ...plan, ways, chosenBecause: before.chosenBecause, route: before.route };
}

/**
 * Answers an edit in two steps, so that nobody waits for a way that is only compared: with the way that was planned
 * before, the other as it was then; and in the end with all of them.
 * @param before how the last plan compared; without it there is only the end
 */
export function* answers(file: RunFile, shop: Shop, before?: Comparing): Generator<Answer, Answer> {
  const run = readRun(file, shop);
  if (!run.ok) return answerOf(run, file, shop);
  const { way } = run.value;
  const likely = before && (way === 'choose' || way === before.way) ? before : undefined;
  const steps = planWays(run.value, likely ? [likely.way, ...WAYS.filter((name) => name !== likely.way)] : WAYS);
  let step = steps.next();
  const first = likely && !step.done ? step.value() : undefined;
  // A plan that is not borne out is not shown for a moment: another route may be.
  if (likely && first?.ok && first.value.proof.passed) yield answerOf(good(asBefore(first.value, likely)), file, shop);
  while (!step.done) step = steps.next();
  return answerOf(step.value, file, shop);
}
