import { say, sayDiameter } from '../../model/words';
import type { RiskKind } from './risk';

/** A diameter that is turned half from each side: where the cuts meet a mark stays (trade: Safe holds). */
export const halves: RiskKind = (setups, { units }) => {
  const [first, second] = [1, 2].map((side) => setups.findLast(({ setup }) => setup.side === side)?.setup);
  const step = first?.part.steps.find(({ path }) =>
    [first, second].every((setup) => setup?.turned.some((turned) => turned.path === path)),
  );
  if (!step || !second) return [];
  return [
    {
      price: 'softRule',
      because: `${sayDiameter(step.diameter.nominal, units)} is turned half from each side: a mark stays ${say(step.zTo, units)} from its ${first?.end} face, and ${second.holding.words} the halves run true to each other to ${say(second.holding.runOut, units)}.`,
    },
  ];
};
