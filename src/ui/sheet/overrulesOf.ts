import type { Plan } from '@/core/plan';
import { keysIn, movedBy, type PlannedOverrule } from '@/core/route/overrules';

/** The overrules that decided of an operation: its place, its tool, or that it is there. */
export const overrulesOf = ({ overrules }: Plan, key: string): PlannedOverrule[] =>
  overrules.filter(({ overrule }) => {
    const moved = movedBy(overrule);
    return moved === undefined ? keysIn(overrule).includes(key) : moved === key;
  });

/** Names in a plan: of its operations by their keys, with their numbers, and of tools by their ids. */
export const namesIn = ({ setups, run }: Plan): ReadonlyMap<string, string> =>
  new Map([
    ...run.shop.tools.map(({ id, name }) => [id, name] as const),
    ...setups.flatMap(({ operations }) =>
      operations.map(({ key, number, name }) => [key, `${number} ${name}`] as const),
    ),
  ]);

/** Whether the place of an operation was decided against the planner: kept, or against a rule. */
export function decidedOf(plan: Plan, key: string): 'kept' | 'against' | undefined {
  const own = overrulesOf(plan, key).filter(({ state }) => state !== 'idle');
  if (own.length === 0) return undefined;
  return own.some(({ breaks }) => breaks.length > 0) ? 'against' : 'kept';
}
