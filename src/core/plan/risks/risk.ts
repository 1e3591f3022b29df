import type { Run } from '../../model/run';
import type { RiskPrices } from '../../model/shop/values';
import type { PlannedSetup } from '../times/planTimes';

/** Something of a route that may go wrong or costs quality, and why (trade: Safe holds). */
export interface Risk {
  /** What it is priced as. */
  price: keyof RiskPrices;
  because: string;
}

/** A kind of risk: finds its own in the set-ups of a route. A new one is one new file here, listed in the index. */
export type RiskKind = (setups: readonly PlannedSetup[], run: Run) => Risk[];
