import { shareOfHold } from '../cutting/overload';
import type { PlannedSetup, TimedOperation } from '../times/planTimes';
import type { RiskKind } from './risk';

/** Whether an operation cuts as hard as its hold bears, or nearly. */
const isNear = ({ passes, on, from, to }: TimedOperation, { setup }: PlannedSetup): boolean =>
  passes.some(
    ({ limitedBy, load }) =>
      limitedBy === 'holding' ||
      (load && shareOfHold(load, on, Math.min(from, to), setup) > setup.run.shop.cutting.holdNear),
  );

/** A set-up in which something is cut nearly as hard as its hold bears. */
export const nearHold: RiskKind = (setups) =>
  setups.flatMap((planned) => {
    const { number, holding } = planned.setup;
    const first = planned.operations.find((operation) => isNear(operation, planned));
    return first
      ? [
          {
            price: 'nearHold' as const,
            because: `${first.name} goes to what ${holding.words} bears in set-up ${number}.`,
          },
        ]
      : [];
  });
