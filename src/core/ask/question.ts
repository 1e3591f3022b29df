import { isEnd, isHolding, isSetup, isTool, type Overrule } from '../model/overrule';

/**
 * What is asked: with which tool an operation is done, from which end a feature is made (paths), or by what the work is
 * held in a set-up.
 */
export type Question = { operation: string } | { feature: string } | { setup: 1 | 2 };

/** The overrules of a run without those that answered a question before. */
export const without = (overrules: readonly Overrule[], question: Question): Overrule[] =>
  overrules.filter((overrule) => {
    if ('setup' in question) return !(isHolding(overrule) && (overrule.setup ?? 2) === question.setup);
    if ('feature' in question)
      return !((isEnd(overrule) || isSetup(overrule)) && overrule.feature === question.feature);
    return !(isTool(overrule) && overrule.operation === question.operation);
  });
