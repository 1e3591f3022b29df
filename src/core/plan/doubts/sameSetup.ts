import { say } from '../../model/words';
import { isOnBar, surfacesOf, type Setup } from '../../model/plan/setup';
import type { Look } from './doubt';

/** The set-up that makes a surface; what no set-up reaches belongs to none. */
const madeIn = (path: string, setups: readonly Setup[]): Setup | undefined =>
  setups.find((setup) => surfacesOf(setup).includes(path));

/** SAME-SETUP (trade: Order): surfaces tied by run-out in two set-ups run only as true as the second holding. */
export const sameSetup: Look = ({ part, units, shop }, planned) => {
  const setups = planned.map(({ setup }) => setup);
  return part.ties.flatMap(({ of, to, limit, path }) => {
    const [one, other] = [madeIn(of, setups), madeIn(to, setups)];
    const parted = one && one === other && shop.houseRules.batchOrder === 'op-by-op' && !isOnBar(one);
    if (parted && one.holding.runOut > limit)
      return [
        {
          path,
          rule: 'SAME-SETUP',
          because: `A run-out of ${say(limit, units)} is asked between surfaces that are made one after the other over the batch, and its run-out is ${say(one.holding.runOut, units)} each time that the piece is held: finish each piece in one holding.`,
        },
      ];
    // The bar's own skin was there before the first.
    const drawn = [of, to].some((surface) => setups[0]?.stock.asDrawn.includes(surface));
    if (one === other || (!drawn && (!one || !other))) return [];
    const later = (one?.number ?? 0) > (other?.number ?? 0) ? one : other;
    const costs = later?.holding.runOut ?? 0;
    if (costs <= limit) return [];
    return [
      {
        path,
        rule: 'SAME-SETUP',
        because: drawn
          ? `A run-out of ${say(limit, units)} is asked to the bar’s own skin, and ${later?.holding.words} its run-out is ${say(costs, units)}: dial it in, or turn both in one holding.`
          : `A run-out of ${say(limit, units)} is asked between surfaces that are made in two set-ups, and the second holding has a run-out of ${say(costs, units)} only: dial it in, or make both in one holding.`,
      },
    ];
  });
};
