import type { Dial } from '../../model/shop/machine';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Run } from '../../model/run';
import { notAbove } from './speed';

/** How a tool is turned and fed. */
interface Fed {
  speed: number;
  feed: number;
}

/** Whether a hand drops the feed of an operation before its shoulder: the machine does not trip it. */
export const isDroppedByHand = ({ intoShoulder }: Pick<Operation, 'intoShoulder'>, { shop }: Run): boolean =>
  intoShoulder === true && !shop.machine.trips;

/** How a shoulder is met then: by power no faster, mm/min, and the last of it by hand, mm and mm/min (trade: Cutting). */
export const shoulderOf = ({ shop }: Run): { most: number; far: number; feed: number } => {
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
): { far: number; feed: number } | undefined {
  const last = shoulderOf(run);
  return isDroppedByHand(operation, run) && speed * feed > last.feed ? last : undefined;
}

/** Fed to this much, mm/rev. */
const FINEST = 0.001;

/** The wheel that a hand winds while it cuts: of the quill, or of the compound that is set over; undefined where it winds none. */
function wheelOf(
  { tool, compound }: Pick<Operation, 'tool' | 'compound'>,
  { handFed, drawsItself }: Pick<OperationKind, 'handFed' | 'drawsItself'>,
  { machine }: Run['shop'],
): Dial | undefined {
  if (!handFed || drawsItself) return undefined;
  if (tool.mount === 'tailstock') return machine.quillDial;
  return compound === undefined ? undefined : machine.compoundDial;
}

/**
 * What goes no faster than a hand winds, so many turns a minute (trade: Cutting): fed less, or turned slower where the feed is
 * kept or would be less than a drill's least.
 * @returns undefined where the hand keeps up
 */
export function woundWithin(
  operation: Pick<Operation, 'tool' | 'compound'>,
  kind: Pick<OperationKind, 'handFed' | 'drawsItself' | 'keepsFeed'>,
  { speed, feed }: Fed,
  { shop }: Run,
): Fed | undefined {
  const wheel = wheelOf(operation, kind, shop);
  const { windings, leastDrillFeed } = shop.cutting;
  const most = windings * (wheel?.travel ?? Infinity);
  if (speed * feed <= most * (1 + 1e-9)) return undefined;
  const least = kind.keepsFeed ? feed : leastDrillFeed * feed;
  const slower = speed * least > most ? notAbove(shop.machine.speeds, most / least) : speed;
  return { speed: slower, feed: Math.min(feed, Math.max(FINEST, Math.floor(most / slower / FINEST + 1e-9) * FINEST)) };
}
