import type { Plan } from '@/core/plan/plan';
import { isEnd, isOutside, isSetup } from '@/core/model/overrule';
import { keysIn, movedBy, type PlannedOverrule } from '@/core/plan/order/overrules';

/** The overrules that decided of an operation by its key: place, tool, end, or that it is there; or of work elsewhere by its path. */
export function overrulesOf({ overrules, setups }: Plan, key: string): PlannedOverrule[] {
  if (overrules.length === 0) return [];
  const feature = setups.flatMap(({ operations }) => operations).find((operation) => operation.key === key)?.feature;
  return overrules.filter(({ overrule }) => {
    if (isEnd(overrule) || isSetup(overrule)) return overrule.feature === feature;
    if (isOutside(overrule)) return overrule.outside === key;
    const moved = movedBy(overrule);
    return moved === undefined ? keysIn(overrule).includes(key) : moved === key;
  });
}

/**
 * Names in a plan: of its operations by their keys, with their numbers, of tools by their ids, and of features by their
 * paths.
 */
export const namesIn = ({ setups, run, outside }: Plan): ReadonlyMap<string, string> =>
  new Map([
    ...outside.map(({ feature, name }) => [feature, name] as const),
    ...setups.flatMap(({ operations }) => operations.map(({ feature, name }) => [feature, name] as const)),
    ...run.shop.tools.map(({ id, name }) => [id, name] as const),
    ...setups.flatMap(({ operations }) =>
      operations.map(({ key, number, name }) => [key, `${number} ${name}`] as const),
    ),
  ]);

/** Whether the place of an operation was decided against the planner: kept, or against a rule. */
export function decidedOf(plan: Plan, key: string): 'kept' | 'against' | undefined {
  const standing = overrulesOf(plan, key).filter(({ state }) => state !== 'idle');
  if (standing.length === 0) return undefined;
  return standing.some(({ breaks }) => breaks.length > 0) ? 'against' : 'kept';
}
