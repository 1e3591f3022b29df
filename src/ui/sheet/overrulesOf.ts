import type { Plan } from '@/core/plan';
import type { PlannedOverrule } from '@/core/route/overrules';

/** The overrules that decided the place of an operation. */
export const overrulesOf = ({ overrules }: Plan, key: string): PlannedOverrule[] =>
  overrules.filter(({ overrule: { first, then, moved } }) =>
    moved === undefined ? first === key || then === key : moved === key,
  );

/** Names of the operations of a plan by their keys, with their numbers. */
export const namesIn = ({ setups }: Plan): ReadonlyMap<string, string> =>
  new Map(setups.flatMap(({ operations }) => operations.map(({ key, number, name }) => [key, `${number} ${name}`])));
