import type { Run } from '../../model/run';
import type { PlannedSetup } from '../times/planTimes';
import { halves } from './halves';
import { nearHold } from './nearHold';
import { rechucked } from './rechucked';
import type { Risk, RiskKind } from './risk';
import { lateKnurls, softRules } from './softRules';

const kinds: readonly RiskKind[] = [softRules, lateKnurls, halves, rechucked, nearHold];

/** What may go wrong with a route or costs quality, each at the price of the shop. */
export const risksOf = (setups: readonly PlannedSetup[], run: Run): Risk[] =>
  kinds.flatMap((kind) => kind(setups, run));

/** What they weigh together at each piece, minutes. */
export const weightOf = (risks: readonly Risk[], { shop }: Run): number =>
  risks.reduce((minutes, { price }) => minutes + shop.riskPrices[price], 0);
