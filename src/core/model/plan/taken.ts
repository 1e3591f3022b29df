import type { Reason, Strength } from '../words';

/** A rule that an overrule breaks, or would break. */
export interface Break extends Reason {
  strength: Strength;
}

/** An overrule as a set-up takes it. */
export interface TakenOverrule {
  /** Its place among the run's overrules. */
  index: number;
  /** Kept; waiting for a signed reason because it is against a hard rule; or impossible, whoever signs. */
  state: 'kept' | 'waits' | 'cannot';
  breaks: Break[];
  /** The operation that it is about, where the plan has it no more. */
  name?: string;
}
