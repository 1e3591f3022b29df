import { turns } from '../operations/turned';
import type { PlannedSetup } from '../times/planTimes';
import type { RiskKind } from './risk';

/** The set-up that finishes a surface, where one does. */
const finishedIn = (setups: readonly PlannedSetup[], path: string): number | undefined =>
  setups.findLast(({ operations }) =>
    operations.some((operation) => turns(operation, path) || (operation.makes ?? []).includes(path)),
  )?.setup.number;

/** Surfaces that are to run true to each other and are finished in two holdings, though both are true enough (trade: Safe holds). */
export const tiedApart: RiskKind = (setups, { part }) =>
  part.ties.flatMap(({ of, to }) => {
    const [first, second] = [finishedIn(setups, of), finishedIn(setups, to)];
    if (first === undefined || second === undefined || first === second) return [];
    return [
      {
        price: 'tiedApart' as const,
        because: `What is to run true to each other is finished in set-ups ${Math.min(first, second)} and ${Math.max(first, second)}.`,
      },
    ];
  });
