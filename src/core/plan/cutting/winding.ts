import type { Dial } from '../../model/shop/machine';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Run } from '../../model/run';
import { notAbove } from './speed';

/** How a tool is turned, rev/min, and fed, mm/rev. */
export interface Fed {
  speed: number;
  feed: number;
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
