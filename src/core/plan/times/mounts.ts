import { term, type Term } from '../../model/figure';
import type { CutOperation } from '../cuts/cutOperation';
import type { Operation } from '../../model/plan/operation';
import { isBetweenCentres, type Setup } from '../../model/plan/setup';
import type { HandMinutes } from '../../model/shop/minutes';
import { kindOf } from '../operations';
import { CENTRE_END } from '../operations/face';

/** A hand element (trade: Time); a change of the machine is made once where one operation is done for all pieces. */
export interface HandElement {
  name: string;
  minutes: number;
  change?: true;
  /** Of what kind it is, where it is neither a change nor the hand at the work. */
  of?: 'measure' | 'clear';
}

/** What handling is made of: groups whose minutes are off together (trade: At the lathe). */
export type HandGroup = 'change' | 'measure' | 'clear' | 'hand';

/** Minutes of handling by their group. */
export function byGroup(items: readonly HandElement[]): Record<HandGroup, number> {
  const groups = { change: 0, measure: 0, clear: 0, hand: 0 };
  for (const { minutes, change, of } of items) groups[change ? 'change' : (of ?? 'hand')] += minutes;
  return groups;
}

/** Terms of a sum under one symbol each: a, b, c… */
export const lettered = (items: readonly HandElement[]): Term[] =>
  items
    .filter(({ minutes }) => minutes > 0)
    .map(({ name, minutes }, index) => term(String.fromCharCode(97 + index), name, minutes, 'min', 'start value'));

/** Whether an operation is done with the centre up: where it is there at all, and before its end is faced off. */
export function isCentred({ key, kind }: Operation, setup: Setup, operations: readonly Operation[]): boolean {
  const off = operations.findIndex((operation) => operation.key === `face:${CENTRE_END}`);
  const place = operations.findIndex((operation) => operation.key === key);
  return setup.supported && !isBetweenCentres(setup) && kindOf({ kind }).underCentre && (off < 0 || place < off);
}

/** The operation before one, also around from the first to the last, of those that leave something on the machine. */
export function lastBefore(cuts: readonly CutOperation[], index: number, leaves: (cut: CutOperation) => boolean) {
  for (let back = 1; back < cuts.length; back += 1) {
    const earlier = cuts[(index - back + cuts.length) % cuts.length];
    if (earlier && leaves(earlier)) return earlier;
  }
  return undefined;
}

export const isMounted = ({ tool }: CutOperation): boolean => tool.mount !== 'hand';

/** What stands in the tailstock while nothing else does. */
const CENTRE = 'centre';

/** Whether an operation finds another tool in its mount: each keeps its own while the other works. */
export function changesTool({ tool }: CutOperation, index: number, cuts: readonly CutOperation[]): boolean {
  const last = lastBefore(cuts, index, (other) => other.tool.mount === tool.mount);
  return tool.mount !== 'hand' && last !== undefined && last.tool.id !== tool.id;
}

/**
 * What is done at the mounts before an operation (trade: Time): its tool put in where that mount holds another, the tailstock
 * moved, a centre brought up and taken out. From the last operation to the first of the next piece as well, which is loaded
 * and unloaded without a centre. In a set-up with a centre that takes the place of a drill.
 */
export function mountElements(
  cut: CutOperation,
  index: number,
  { setup, cuts }: { setup: Setup; cuts: readonly CutOperation[] },
  hand: HandMinutes,
): HandElement[] {
  const centred = (operation: CutOperation) => isCentred(operation, setup, cuts);
  const standsIn = (operation: CutOperation) => (centred(operation) ? CENTRE : operation.tool.id);
  const mounted = lastBefore(cuts, index, isMounted) ?? cut;
  const isFirst = !cuts.slice(0, index).some(isMounted);
  const inTailstock = lastBefore(cuts, index, (other) => other.tool.mount === 'tailstock' || centred(other));
  const takesPlace = inTailstock !== undefined && standsIn(inTailstock) !== standsIn(cut);
  const fromTailstock = cut.tool.mount === 'tailstock';
  const moves = isMounted(cut) && (mounted.tool.mount === 'tailstock') !== fromTailstock;
  const up = centred(cut) && (isFirst || !centred(mounted));
  const out = isMounted(cut) && centred(mounted) && (isFirst || !centred(cut));
  return [
    fromTailstock
      ? { change: true, name: 'change tool in the tailstock', minutes: takesPlace ? hand.changeTailstock : 0 }
      : {
          change: true,
          name: 'change tool in the post',
          minutes: changesTool(cut, index, cuts) ? hand.changePost : 0,
        },
    { change: true, name: 'tailstock in or out', minutes: moves ? hand.tailstock : 0 },
    {
      name: 'centre into the tailstock and up',
      minutes: up ? (takesPlace ? hand.changeTailstock : 0) + hand.tailstock : 0,
    },
    { name: 'centre out', minutes: out ? hand.tailstock : 0 },
  ];
}
