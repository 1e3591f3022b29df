import { isPinched } from '../order/rules/knurls';
import { FINISHING } from '../order/rules/rule';
import type { RiskKind } from './risk';

/** Soft rules that were let go within a set-up. */
export const softRules: RiskKind = (setups) =>
  setups.flatMap(({ broken }) => broken.map(({ because }) => ({ price: 'softRule', because })));

/** KNURL-EARLY (trade: Order) over the set-ups: one that is rolled after what stands beside it was finished before. */
export const lateKnurls: RiskKind = (setups) =>
  setups.flatMap(({ operations, setup }, index) =>
    operations
      .filter(
        (operation) =>
          operation.kind === 'knurl' &&
          !isPinched(operation, setup) &&
          setups
            .slice(0, index)
            .some(
              (before) =>
                before.setup.end !== setup.end && before.operations.some((other) => FINISHING.includes(other.kind)),
            ),
      )
      .map(({ name }) => ({
        price: 'softRule' as const,
        because: `${name} after its neighbours were finished from the other end.`,
      })),
  );
