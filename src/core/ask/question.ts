import { isEnd, isHolding, isLeave, isSetup, isSetups, isStop, isTool, type Overrule } from '../model/overrule';

/**
 * What is asked: with which tool an operation is done, by what it is brought to its stop, from which end or in which set-up a feature is made (paths), by what
 * the work is held in a set-up, in how many set-ups it is made, or what is left on.
 */
export type Question =
  { operation: string } | { stop: string } | { feature: string } | { setup: 1 | 2 } | { route: 'setups' | 'left' };

/** The overrules of a run without those that answered a question before. */
export const without = (overrules: readonly Overrule[], question: Question): Overrule[] =>
  overrules.filter((overrule) => {
    if ('setup' in question) return !(isHolding(overrule) && (overrule.setup ?? 2) === question.setup);
    if ('stop' in question) return !(isStop(overrule) && overrule.operation === question.stop);
    if ('feature' in question)
      return !((isEnd(overrule) || isSetup(overrule)) && overrule.feature === question.feature);
    if ('route' in question) return !(question.route === 'setups' ? isSetups(overrule) : isLeave(overrule));
    return !(isTool(overrule) && overrule.operation === question.operation);
  });
