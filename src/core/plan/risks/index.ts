import type { Run } from '../../model/run';
import type { PlannedSetup } from '../times/planTimes';
import { halves } from './halves';
import { nearHold } from './nearHold';
import { rechucked } from './rechucked';
import { orificeFirst } from './orificeFirst';
import type { Risk, RiskKind } from './risk';
import { lateKnurls, softRules } from './softRules';
import { measuredOnly, wrongStop } from './stops';
import { thinWall } from './thinWall';
import { tiedApart } from './tiedApart';

const kinds: readonly RiskKind[] = [
  softRules,
  lateKnurls,
  orificeFirst,
  halves,
  rechucked,
  nearHold,
  thinWall,
  tiedApart,
  measuredOnly,
  wrongStop,
];

/** What may go wrong with a route or costs quality, each at the price of the shop. */
export function risksOf(setups: readonly PlannedSetup[], run: Run): Risk[] {
  const { riskPrices } = run.shop;
  const piece = setups.reduce((minutes, planned) => minutes + planned.piece.value, 0);
  return kinds
    .flatMap((kind) => kind(setups, run))
    .map((found) => ({
      ...found,
      minutes: found.minutes ?? (found.price === 'tiedApart' ? riskPrices.tiedApart * piece : riskPrices[found.price]),
    }));
}

/** What they weigh together at each piece, minutes. */
export const weightOf = (risks: readonly Risk[]): number => risks.reduce((all, { minutes }) => all + minutes, 0);
