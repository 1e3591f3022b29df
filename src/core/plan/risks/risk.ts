import type { Run } from '../../model/run';
import type { RiskPrices } from '../../model/shop/values';
import type { PlannedSetup } from '../times/planTimes';

/** Something of a route that may go wrong or costs quality, and why (trade: Safe holds). */
export interface Found {
  /** What it is priced as. */
  price: keyof RiskPrices;
  because: string;
  /** What it weighs, where that is not the price itself, minutes a piece. */
  minutes?: number;
}

/** The same with what it weighs at each piece, minutes. */
export interface Risk extends Found {
  minutes: number;
}

/** A kind of risk: finds its own in the set-ups of a route. A new one is one new file here, listed in the index. */
export type RiskKind = (setups: readonly PlannedSetup[], run: Run) => Found[];
