import { sayFigure } from '../../model/units/mark';
import { isAdd, isCut, isSigned, isSkip, isTool, keyOfAdded, type CutWish } from '../../model/overrule';
import { EDGES } from '../../model/shop/material';
import type { Tool } from '../../model/shop/shop';
import type { Operation, OperationKind } from '../../model/plan/operation';
import { rules } from './rules';
import type { Setup } from '../../model/plan/setup';
import type { Break, TakenOverrule } from '../../model/plan/taken';

/** An operation as it was decided: with another tool, or left out; and what was made of the overrules of it. */
interface Decided {
  operation: Operation | undefined;
  taken: TakenOverrule[];
}

const NEEDED = { rule: 'NEEDED', because: 'The part is not made without it.', strength: 'H' as const };

/** A set-up whose shop has, of all tools for a kind of operation, only one. */
const withOnly = (setup: Setup, kind: string, tool: Tool): Setup => {
  const { run } = setup;
  const tools = run.shop.tools.filter((candidate) => candidate.id === tool.id || !candidate.does.includes(kind));
  return { ...setup, run: { ...run, shop: { ...run.shop, tools } } };
};

/** An operation as its kind plans it with one tool; undefined where that tool does not make it. */
function withTool(
  operation: Operation,
  kind: OperationKind,
  tool: Tool,
  setup: Setup,
  others: readonly Operation[],
): Operation | undefined {
  if (operation.tool.id === tool.id) return operation;
  const demanded = kind.demand(withOnly(setup, kind.kind, tool), others);
  const same = demanded.ok ? demanded.value.find(({ key }) => key === operation.key) : undefined;
  return same?.tool.id === tool.id ? same : undefined;
}

/** The tools of the list that make an operation, the planned one among them. */
export function toolsFor(
  operation: Operation,
  kind: OperationKind,
  setup: Setup,
  others: readonly Operation[],
): Tool[] {
  return setup.run.shop.tools.filter(
    (tool) => tool.does.includes(kind.kind) && withTool(operation, kind, tool, setup, others),
  );
}

/** Whether the part comes out without an operation: what takes nothing off, or what its kind says of it. */
const mayBeLeft = (operation: Operation, kind: OperationKind): boolean =>
  Object.keys(operation.removal).length === 0 || (kind.mayBeLeft?.(operation) ?? (operation.makes ?? []).length > 0);

/** The rules that ask for an operation: without it they are broken. */
const asking = (operation: Operation, setup: Setup): Break[] =>
  rules.flatMap(({ id, strength, asksFor }) => {
    const because = asksFor?.(operation, setup);
    return because ? [{ rule: id, strength, because }] : [];
  });

/** The two of a list around a value, in words. */
const around = (list: readonly number[], value: number): string =>
  [list.findLast((figure) => figure < value), list.find((figure) => figure > value)]
    .filter((figure) => figure !== undefined)
    .map((figure) => sayFigure(figure))
    .join(' and ');

/** A tool with another edge in it: a tool of its own, to be set and changed to. */
function withEdge(tool: Tool, { nose, edge }: CutWish, { run }: Setup): Tool {
  const other = edge !== undefined && edge !== tool.edge;
  if (!other && (nose === undefined || nose === tool.nose)) return tool;
  const words = [...(other ? [EDGES[edge]] : []), ...(nose === undefined ? [] : [`nose ${nose}`])].join(', ');
  return {
    ...tool,
    id: `${tool.id} (${words})`,
    listed: tool.id,
    name: `${tool.name}, ${words}`,
    ...(nose === undefined ? {} : { nose }),
    ...(other
      ? { edge, ...(tool.thinnestCut === undefined ? {} : { thinnestCut: run.shop.edges[edge].thinnest }) }
      : {}),
  };
}

/** Why the machine, or the tool, does not cut so; undefined where it does. What a hand feeds may be any feed. */
function notPossible(
  { speed, feed, depth, nose }: CutWish,
  { tool }: Operation,
  kind: OperationKind,
  { run }: Setup,
): string | undefined {
  const { machine } = run.shop;
  if (kind.byHand !== undefined) return 'It is done by hand.';
  if (speed !== undefined && !machine.speeds.includes(speed))
    return `${machine.name} has no ${sayFigure(speed)} rev/min; next to it are ${around(machine.speeds, speed)}.`;
  if (feed !== undefined && !kind.handFed && !machine.feeds.includes(feed))
    return `${machine.name} has no feed of ${sayFigure(feed)} mm/rev; next to it are ${around(machine.feeds, feed)}.`;
  if (depth !== undefined && !kind.takesDepth)
    return 'It is not divided by a depth: its form or its allowance says how deep.';
  if (nose !== undefined && tool.nose === undefined) return `${tool.name} has no nose.`;
  return undefined;
}

/** Applies what was decided of one operation beside its place: its tool, and whether it is done at all. */
export function decide(operation: Operation, kind: OperationKind, setup: Setup, others: readonly Operation[]): Decided {
  const taken: TakenOverrule[] = [];
  let decided: Operation | undefined = operation;
  for (const [index, overrule] of setup.run.overrules.entries()) {
    if (isAdd(overrule) && keyOfAdded(overrule.add) === operation.key) taken.push({ index, state: 'kept', breaks: [] });
    if (isTool(overrule) && overrule.operation === operation.key) {
      const tool = setup.run.shop.tools.find(({ id }) => id === overrule.tool);
      const other: Operation | undefined = tool && withTool(operation, kind, tool, setup, others);
      const because = tool ? `${tool.name} does not make it, or not here.` : `The list has no tool “${overrule.tool}”.`;
      const breaks = other ? [] : [{ rule: 'NO-TOOL-REACHES', because, strength: 'H' as const }];
      taken.push({ index, state: other ? 'kept' : 'cannot', breaks });
      // How it cuts may have been decided before its tool was.
      const asked: CutWish | undefined = decided?.asked;
      if (other && decided) decided = asked ? { ...other, asked, tool: withEdge(other.tool, asked, setup) } : other;
    }
    if (isCut(overrule) && overrule.operation === operation.key) {
      const because = notPossible(overrule.cut, decided ?? operation, kind, setup);
      taken.push({
        index,
        state: because === undefined ? 'kept' : 'cannot',
        breaks: because === undefined ? [] : [{ rule: 'MACHINE', because, strength: 'H' }],
      });
      if (because === undefined && decided)
        decided = {
          ...decided,
          tool: withEdge(decided.tool, overrule.cut, setup),
          asked: { ...decided.asked, ...overrule.cut },
        };
    }
    if (isSkip(overrule) && overrule.skip === operation.key) {
      const may = mayBeLeft(operation, kind);
      const breaks = may ? asking(operation, setup) : [NEEDED];
      const hard = breaks.some(({ strength }) => strength === 'H');
      const state = !may ? 'cannot' : hard && !isSigned(overrule) ? 'waits' : 'kept';
      taken.push({ index, state, breaks, name: operation.name });
      if (state === 'kept') decided = undefined;
    }
  }
  return { operation: decided, taken };
}
