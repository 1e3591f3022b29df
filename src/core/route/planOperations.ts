import { collect, good, type Result } from '../result';
import type { OrderedSetup } from '../cutting/planCuts';
import { operationKinds } from './operations';
import { findOrder } from './order';
import { precedenceOf } from './precedence';
import type { Setup } from './setup';

/** Everything that the kinds of operation ask for in one set-up, in the order that the rules allow and changes least. */
export function planOperations(setup: Setup): Result<OrderedSetup> {
  const demanded = collect(operationKinds.map((kind) => kind.demand(setup)));
  if (!demanded.ok) return demanded;
  const operations = demanded.value.flat();
  const precedence = precedenceOf(operations, setup);
  if (!precedence.ok) return precedence;
  const { before, reasons, broken, overruled } = precedence.value;
  const order = findOrder(operations, before, setup.run.shop.handMinutes);
  return good({
    setup,
    order,
    broken,
    overruled,
    operations: order.sequence.flatMap((index) => operations[index] ?? []),
    reasons: order.sequence.map((index) => reasons[index] ?? []),
  });
}
