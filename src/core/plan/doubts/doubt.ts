import type { Run } from '../../model/run';
import type { Reason } from '../../model/words';
import type { PlannedSetup } from '../times/planTimes';

/** Something that the plan cannot promise: which rule says so, why, and which entry it is about. */
export interface Doubt extends Reason {
  path: string;
}

/**
 * A look at the part, its set-ups and the features that some operation makes (paths), for what the bench at hand does not make, or not well. A new one is one new file in
 * `plan/doubts`, listed in its index.
 */
export type Look = (run: Run, setups: readonly PlannedSetup[], made: ReadonlySet<string>) => Doubt[];
