import type { Strength } from '../../../model/words';
import type { Operation } from '../../../model/plan/operation';
import type { Setup } from '../../../model/plan/setup';

/**
 * A rule of the order. It looks at two operations of one set-up, or at one alone, and says in words why. A new rule is
 * one new file in `order/rules`, listed in its index.
 */
export interface Rule {
  id: string;
  strength: Strength;
  /** The kinds that the first of two has, and the second, where the rule is about those alone: no other pair is asked. */
  first?: readonly string[];
  then?: readonly string[];
  /** Why `before` must come before `after`; undefined when the rule has nothing to say of the two. */
  before?(before: Operation, after: Operation, setup: Setup): string | undefined;
  /** Why an operation is there at all. */
  asksFor?(operation: Operation, setup: Setup): string | undefined;
}

/** Last cuts to size, outside or in the hole. */
export const FINISHING: readonly string[] = ['turn-finish', 'ream'];

/** Turning of either kind. */
export const TURNING: readonly string[] = ['turn-rough', 'turn-finish'];
