import type { Operation } from '../../model/plan/operation';
import type { Run } from '../../model/run';
import { notAbove, type ByHand } from './speed';
import type { Fed } from './winding';

/** Whether a hand drops the feed of an operation before its shoulder: the machine does not trip it. */
export const isDroppedByHand = ({ intoShoulder }: Pick<Operation, 'intoShoulder'>, { shop }: Run): boolean =>
  intoShoulder === true && !shop.machine.trips;

/** How a shoulder is met then: by power no faster, mm/min, and the last of it by hand, mm and mm/min (trade: Cutting). */
export const shoulderOf = ({ shop }: Run): ByHand & { most: number } => {
  const { shoulderFeed, shoulderLast, shoulderByHand } = shop.cutting;
  return { most: shoulderFeed, far: shoulderLast, feed: shoulderByHand };
};

/** What is fed by power into a shoulder, turned no faster than a hand drops the feed before it. */
export function droppedBefore(
  operation: Pick<Operation, 'intoShoulder'>,
  { speed, feed }: Fed,
  run: Run,
): Fed | undefined {
  const { most } = shoulderOf(run);
  if (!isDroppedByHand(operation, run) || speed * feed <= most * (1 + 1e-9)) return undefined;
  return { speed: notAbove(run.shop.machine.speeds, most / feed), feed };
}

/** The last of a way into a shoulder, by hand; undefined where power goes on to the stop, or is as slow. */
export function lastByHand(
  operation: Pick<Operation, 'intoShoulder'>,
  { speed, feed }: Fed,
  run: Run,
): ByHand | undefined {
  const last = shoulderOf(run);
  return isDroppedByHand(operation, run) && speed * feed > last.feed ? last : undefined;
}
