import { say, sayDiameter } from '../../model/words';
import { halved } from '../../model/plan/halved';
import type { RiskKind } from './risk';

/** A diameter that is turned half from each side: where the cuts meet a mark stays (trade: Safe holds). */
export const halves: RiskKind = (setups, { units }) => {
  const found = halved(setups.map(({ setup }) => setup));
  if (!found) return [];
  const { step, first, second } = found;
  return [
    {
      price: 'softRule',
      because: `${sayDiameter(step.diameter.nominal, units)} is turned half from each side: a mark stays ${say(step.zTo, units)} from its ${first.end} face, and ${second.holding.words} the halves run true to each other to ${say(second.holding.runOut, units)}.`,
    },
  ];
};
