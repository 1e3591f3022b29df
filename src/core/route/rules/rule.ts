import type { Operation } from '../operation';
import type { Setup } from '../setup';

/** H: impossible or dangerous otherwise. S: costs quality or time. C: a school's choice (handbook 5). */
export type Strength = 'H' | 'S' | 'C';

/**
 * A rule of the order. It looks at two operations of one set-up, or at one alone, and says in words why. A new rule is
 * one new file in `route/rules`, listed in its index.
 */
export interface Rule {
  id: string;
  strength: Strength;
  /** Why `before` must come before `after`; undefined when the rule has nothing to say of the two. */
  before?(before: Operation, after: Operation, setup: Setup): string | undefined;
  /** Why an operation is there at all. */
  asksFor?(operation: Operation, setup: Setup): string | undefined;
}

/** A last cut to size, outside or in the hole. */
export const finishes = ({ kind }: Operation): boolean => kind === 'turn-finish' || kind === 'ream';

/** Turning of either kind. */
export const turns = ({ kind }: Operation): boolean => kind === 'turn-rough' || kind === 'turn-finish';
