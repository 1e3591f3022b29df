import { WAYS } from '../model/way';
import { massOf } from '../model/part/mass';
import { sketchPart } from '../read/sketch';
import { planWays, type Plan } from '../plan/plan';
import type { Skeleton } from '../plan/skeleton';
import { good, type Result } from '../model/result';
import type { Shop } from '../model/shop/shop';
import type { Answer, Comparing } from './answer';
import { takenMaterial } from '../model/shop/forRun';
import { readAndTake } from '../plan/material';
import type { RunFile } from '../read/runFile';

function answerOf(plan: Result<Plan>, file: RunFile, shop: Shop): Answer {
  const sketch = plan.ok ? plan.value.run.part : sketchPart(file.part, file.units);
  const taken = plan.ok ? plan.value.run.shop.material : takenMaterial(file.part.material, shop);
  return {
    plan: plan.ok ? plan.value : undefined,
    proof: plan.ok ? plan.value.proof : undefined,
    problems: plan.ok ? [] : plan.problems,
    sketch,
    mass: sketch && massOf(sketch, taken?.density ?? 0),
  };
}

/** A plan of one way with the others as they were before, and for the same reason. */
function asBefore(plan: Plan, before: Comparing): Plan {
  if (plan.way !== before.way) return plan;
  const others = before.ways.filter(({ way }) => way !== plan.way);
  const known = [...plan.ways, ...others];
  const ways = WAYS.flatMap((way) => known.find((outcome) => outcome.way === way) ?? []);
  // What was offered then is not known to be better now.
  const route = { ...before.route };
  delete route.offered;
  return { ...plan, ways, chosenBecause: before.chosenBecause, route };
}

/**
 * Answers an edit in two steps, so that nobody waits for routes that are only compared: with the route that was shown
 * before, or the first that is sound, the others as they were then; and in the end with all of them. What was shown is
 * kept where it is still sound, and a better one is offered. Between two routes it stands still, and something else can go
 * before.
 * @param before how the last plan compared; without it nothing was shown, and the best is taken
 * @param shown the route that is shown, where it is not that of the last plan: after going back
 */
export function* answers(
  file: RunFile,
  shop: Shop,
  before?: Comparing,
  shown: Skeleton | undefined = before?.skeleton,
): Generator<Answer | undefined, Answer> {
  const run = readAndTake(file, shop);
  if (!run.ok) return answerOf(run, file, shop);
  const steps = planWays(run.value, WAYS, shown ? { first: shown, keep: true } : {});
  let told = false;
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return answerOf(step.value, file, shop);
    // A plan that is not borne out is not shown for a moment: another route may be.
    const first: Result<Plan> | undefined = told || !step.value.hasSound() ? undefined : step.value.plan();
    told ||= first !== undefined;
    yield first?.ok ? answerOf(good(before ? asBefore(first.value, before) : first.value), file, shop) : undefined;
  }
}
