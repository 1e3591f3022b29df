import type { OrderedSetup } from '../cutting/planCuts';
import { bad, good, type Problem, type Result } from '../result';
import type { Operation } from './operation';
import { operationKinds } from './operations';
import { decide } from './decide';
import { findOrder } from './order';
import { precedenceOf } from './precedence';
import type { Setup } from './setup';
import type { TakenOverrule } from './taken';

/** Everything that the kinds of operation ask for in one set-up, as it was decided. */
function demanded(setup: Setup): Result<{ operations: Operation[]; taken: TakenOverrule[] }> {
  const operations: Operation[] = [];
  const taken: TakenOverrule[] = [];
  const problems: Problem[] = [];
  for (const kind of operationKinds) {
    const own = kind.demand(setup, operations);
    if (!own.ok) problems.push(...own.problems);
    for (const operation of own.ok ? own.value : []) {
      const decided = decide(operation, kind, setup, operations);
      taken.push(...decided.taken);
      if (decided.operation) operations.push(decided.operation);
    }
  }
  return problems.length > 0 ? bad(...problems) : good({ operations, taken });
}

/** Everything that is to be done in one set-up, in the order that the rules allow and changes least. */
export function planOperations(setup: Setup): Result<OrderedSetup> {
  const wanted = demanded(setup);
  if (!wanted.ok) return wanted;
  const { operations, taken } = wanted.value;
  const precedence = precedenceOf(operations, setup);
  if (!precedence.ok) return precedence;
  const { before, reasons, broken, overruled } = precedence.value;
  const order = findOrder(operations, before, setup.run.shop.handMinutes);
  return good({
    setup,
    order,
    broken,
    overruled: [...setup.taken, ...taken, ...overruled],
    operations: order.sequence.flatMap((index) => operations[index] ?? []),
    reasons: order.sequence.map((index) => reasons[index] ?? []),
  });
}
