import type { Setup, WorkHolding } from '../../model/plan/setup';
import { holdingOf } from './means';
import { SAME_SIZE } from './means/holding';

/** Whether the set-up before left ready on the machine what holds the work. */
export const isReady = (
  { kind, diameter }: Pick<WorkHolding, 'kind' | 'diameter'>,
  before: Pick<WorkHolding, 'kind' | 'diameter'> | undefined,
): boolean =>
  before?.kind === kind && (holdingOf(kind)?.opens === true || Math.abs(before.diameter - diameter) < SAME_SIZE);

/** Whether what holds the second side could hold the first, and does not yet, so that it would be changed only once. */
export const couldHoldBoth = (second: WorkHolding, { holding, others }: Setup): boolean =>
  holding.kind !== second.kind &&
  others.some(({ kind }) => kind === second.kind) &&
  isReady(second, { ...holding, kind: second.kind });
