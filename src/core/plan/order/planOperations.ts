import type { OrderedSetup } from './orderedSetup';
import { speedFor } from '../cutting/speedFor';
import { bad, good, type Problem, type Result } from '../../model/result';
import type { Operation } from '../../model/plan/operation';
import { kindOf, operationKinds } from '../operations';
import { isLocked } from '../operations/isLocked';
import { boredInstead } from '../operations/boredInstead';
import { decide } from './decide';
import { findOrder, type Wanted } from './order';
import { precedenceOf } from './precedence';
import type { Setup } from '../../model/plan/setup';
import type { TakenOverrule } from '../../model/plan/taken';
import { SAME_STOP } from '../../model/tolerances';

/** Everything that the kinds of operation ask for in one set-up, as it was decided. */
function demanded(setup: Setup): Result<{ operations: Operation[]; taken: TakenOverrule[] }> {
  const operations: Operation[] = [];
  const taken: TakenOverrule[] = [];
  const problems: Problem[] = [];
  for (const kind of operationKinds) {
    const asked = kind.demand(setup, operations);
    if (!asked.ok) problems.push(...asked.problems);
    for (const operation of asked.ok ? asked.value : []) {
      const decided = decide(operation, kind, setup, operations);
      taken.push(...decided.taken);
      if (decided.operation) operations.push(decided.operation);
    }
  }
  return problems.length > 0 ? bad(...problems) : good({ operations, taken });
}

/**
 * What an operation wants the machine to stand at. The diameter that it will begin on is not known before the order is:
 * its speed is taken on the one that it makes.
 * @param isTurned something of the set-up turns the post: every other tool in it wants it straight
 */
function wantedBy(operation: Operation, setup: Setup, isTurned: boolean): Wanted {
  const { tool, compound, postAt = 0, diameter = 2 * setup.outerRadius, stop } = operation;
  const kind = kindOf(operation);
  const [setting] = stop.settings;
  const locked = isLocked(operation);
  return {
    tool,
    ...(compound === undefined ? {} : { compound }),
    ...(isTurned && tool.mount === 'post' ? { postAt } : {}),
    ...(locked === undefined ? {} : { locked }),
    ...(kind.byHand === 'stopped' ? {} : { speed: speedFor(operation, diameter, setup, kind.turnsAtOverhang).value }),
    ...(stop.means === 'carriage' && setting
      ? { station: Math.round(setting.setting.value / SAME_STOP) * SAME_STOP }
      : {}),
  };
}

const towardsChuck = operationKinds.flatMap(({ kind, towardsChuck: is }) => (is ? [kind] : []));

/** The tools as this machine feeds them: a left-hand one does nothing that goes towards the chuck. */
function withHands(setup: Setup): Setup {
  const { run } = setup;
  if (!run.shop.tools.some(({ hand }) => hand === 'left')) return setup;
  const tools = run.shop.tools.map((tool) =>
    tool.hand === 'left' ? { ...tool, does: tool.does.filter((kind) => !towardsChuck.includes(kind)) } : tool,
  );
  return { ...setup, run: { ...run, shop: { ...run.shop, tools } } };
}

/** What is demanded of a set-up; where no drill makes a hole of it in this hold, of the same one with a bar for that. */
function asMade(setup: Setup): Result<{ setup: Setup; operations: Operation[]; taken: TakenOverrule[] }> {
  const first = demanded(setup);
  if (first.ok) return good({ setup, ...first.value });
  const bored = boredInstead(setup, first.problems);
  const second = bored && demanded(bored);
  if (!bored || !second?.ok) return first;
  const isMade = (path: string) => second.value.operations.some(({ makes = [] }) => makes.includes(path));
  return setup.drilled.every((path) => bored.drilled.includes(path) || isMade(path))
    ? good({ setup: bored, ...second.value })
    : first;
}

/** Everything that is to be done in one set-up, in the order that the rules allow and changes least. */
export function planOperations(planned: Setup): Result<OrderedSetup> {
  const asked = asMade(withHands(planned));
  if (!asked.ok) return asked;
  const { setup, operations, taken } = asked.value;
  const precedence = precedenceOf(operations, setup);
  if (!precedence.ok) return precedence;
  const { before, reasons, broken, overruled } = precedence.value;
  const isTurned = operations.some(({ postAt }) => postAt !== undefined);
  const order = findOrder(
    operations.map((operation) => wantedBy(operation, setup, isTurned)),
    before,
    setup.run.shop.handMinutes,
  );
  return good({
    setup,
    order,
    broken,
    overruled: [...setup.taken, ...taken, ...overruled],
    operations: order.sequence.flatMap((index) => operations[index] ?? []),
    reasons: order.sequence.map((index) => reasons[index] ?? []),
  });
}
