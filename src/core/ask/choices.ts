import { withEndKept } from './keepEnd';
import type { Skeleton } from '../plan/skeleton';
import type { RunFile } from '../read/runFile';
import type { Overrule } from '../model/overrule';
import { without, type Question } from './question';
import { drawnSmall, type SetupDrawn } from '../plan/drawnSmall';
import { planFile, type Plan } from '../plan/plan';
import { toolsFor } from '../plan/order/decide';
import { MOST_SETUPS } from '../plan/holding/attempt';
import { holdingOf } from '../plan/holding/means';
import { meansWords } from '../present/stop';
import { meansOf } from './stopsAsked';
import { kindOf } from '../plan/operations';
import type { Shop } from '../model/shop/shop';
import { listedId } from '../model/shop/tool';

/** One of the answers, with what it does to a piece and to the batch, or why it cannot be. */
export interface Choice {
  id: string;
  name: string;
  /** The overrule that decides so. */
  overrule: Overrule;
  /** Whether the plan does so now. */
  planned: boolean;
  pieceMinutes?: number;
  batchMinutes?: number;
  /** Its set-ups, drawn small; where what is asked is how the work goes through them. */
  drawn?: SetupDrawn[];
  problem?: string;
}

type Open = Pick<Choice, 'id' | 'name' | 'overrule' | 'planned'>;

function toolChoices(plan: Plan, key: string): Open[] {
  const planned = plan.setups.find(({ operations }) => operations.some((timedOperation) => timedOperation.key === key));
  const operation = planned?.operations.find((timedOperation) => timedOperation.key === key);
  if (!planned || !operation) return [];
  return toolsFor(operation, kindOf(operation), planned.setup, planned.operations).map(({ id, name }) => ({
    id,
    name,
    overrule: { operation: key, tool: id },
    planned: id === listedId(operation.tool),
  }));
}

function holdingChoices(plan: Plan, number: 1 | 2): Open[] {
  const place = plan.setups.findIndex((plannedSetup) => plannedSetup.setup.side === number);
  const setup = plan.setups[place]?.setup;
  // Work between centres stands for all set-ups from the second on; whether it can be is seen when it is planned.
  const centres = setup && number === 2 ? [{ kind: 'between-centres', grip: 'stock', name: 'the blank' }] : [];
  const held = plan.setups.slice(Math.max(0, place)).map((plannedSetup) => plannedSetup.setup.holding);
  return [...(setup?.others ?? []), ...centres].map(({ kind, grip, name }) => ({
    id: `${kind} ${grip}`,
    name: `${holdingOf(kind)?.words ?? kind}, on ${name}`,
    overrule: number === 1 ? { setup: 1, holding: { kind } } : { holding: { kind, grip } },
    planned: (number === 1 ? held.slice(0, 1) : held).some((holding) => holding.kind === kind && holding.grip === grip),
  }));
}

/** From either end; in which set-up, where an end is worked in several. */
function endChoices(plan: Plan, feature: string): Open[] {
  const planned = plan.setups.find(({ operations }) => operations.some((operation) => operation.feature === feature));
  if (plan.setups.length > 2)
    return plan.setups.map((candidate) => ({
      id: `setup ${candidate.setup.number}`,
      name: `in set-up ${candidate.setup.number}, from the ${candidate.setup.end}`,
      overrule: { feature, setup: candidate.setup.number },
      planned: candidate === planned,
    }));
  return (['front', 'back'] as const).map((end) => ({
    id: end,
    name: `from the ${end}`,
    overrule: { feature, end },
    planned: planned?.setup.end === end,
  }));
}

const setupsChoices = (plan: Plan): Open[] =>
  Array.from({ length: MOST_SETUPS }, (_, index) => index + 1).map((setups) => ({
    id: `${setups}`,
    name: setups === 1 ? 'in one set-up' : `in ${setups} set-ups`,
    overrule: { setups },
    planned: plan.setups.length === setups,
  }));

/** What may be left on, and what is: from the bar, which itself is held, only an end for a centre. */
function leftChoices({ stock }: Plan): Open[] {
  if (stock.way === 'as-it-arrives') return [];
  const left = stock.spigot > 0 ? 'spigot' : stock.centreEnd > 0 ? 'centre-end' : 'none';
  const names = { none: 'nothing', spigot: 'a spigot to hold it by', 'centre-end': 'an end for a centre' } as const;
  const open = (['none', 'spigot', 'centre-end'] as const).filter((leave) => leave !== 'spigot' || !stock.blade);
  return open.map((leave) => ({
    id: leave,
    name: names[leave],
    overrule: { leave },
    planned: leave === left,
  }));
}

/** By every means that could stop it. */
const stopChoices = ({ setups }: Plan, key: string): Open[] =>
  meansOf(setups, key).map(({ means, axis, planned }) => ({
    id: means,
    name: meansWords(means, axis),
    overrule: { operation: key, stop: { means } },
    planned,
  }));

function openOf(plan: Plan, question: Question): Open[] {
  if ('route' in question) return question.route === 'setups' ? setupsChoices(plan) : leftChoices(plan);
  if ('setup' in question) return holdingChoices(plan, question.setup);
  if ('feature' in question) return endChoices(plan, question.feature);
  if ('stop' in question) return stopChoices(plan, question.stop);
  return toolChoices(plan, question.operation);
}

/** Whether what is asked changes how the work goes through its set-ups. */
const isOfRoute = (question: Question): boolean => 'route' in question || 'setup' in question || 'feature' in question;

/**
 * Everything that could be decided of a question, each planned through by the route that is shown, or by another where that
 * cannot be then.
 */
export function choicesOf(file: RunFile, shop: Shop, question: Question, shown?: Skeleton): Choice[] {
  const plan = planFile(file, shop, 'wanted', shown ? { first: shown, until: 'sound' } : {});
  if (!plan.ok) return [];
  const open = openOf(plan.value, question);
  const rest = without(file.overrules ?? [], question);
  const searching = { first: plan.value.skeleton, until: 'sound' } as const;
  return open.map((choice): Choice => {
    const outcome = choice.planned
      ? plan
      : planFile(
          withEndKept({ ...file, overrules: [...rest, choice.overrule] }, plan.value.skeleton),
          shop,
          'wanted',
          searching,
        );
    if (!outcome.ok) return { ...choice, problem: outcome.problems[0]?.message ?? 'it cannot be planned' };
    const cannot = outcome.value.overrules.find(({ index, state }) => index === rest.length && state === 'cannot');
    if (cannot) return { ...choice, problem: cannot.breaks.map(({ because }) => because).join(' ') };
    const { setups, times } = outcome.value;
    const drawn = isOfRoute(question) ? { drawn: drawnSmall(setups) } : {};
    return { ...choice, ...drawn, pieceMinutes: times.piece.value, batchMinutes: times.batch.value };
  });
}
