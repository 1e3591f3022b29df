import type { HandMinutes } from '../shop/shop';
import type { Operation } from './operation';

/** An order with what is known of it. */
export interface Order {
  /** Indices of the operations, first to last. */
  sequence: number[];
  /** Minutes of changing tools, moving the tailstock and setting the compound over, per piece. */
  changeMinutes: number;
  /** No order that keeps the rules changes less; else `gapMinutes` is the most that could be saved. */
  proven: boolean;
  gapMinutes: number;
}

/** What it takes to go from one operation to the next, minutes. What the hand takes up changes nothing on the machine. */
export function changeMinutes(
  from: Pick<Operation, 'tool'> | undefined,
  to: Pick<Operation, 'tool'>,
  hand: HandMinutes,
): number {
  if (to.tool.mount === 'hand' || from?.tool.id === to.tool.id) return 0;
  const change = to.tool.mount === 'tailstock' ? hand.changeTailstock : hand.changePost;
  const tailstock = (from?.tool.mount === 'tailstock') === (to.tool.mount === 'tailstock') ? 0 : hand.tailstock;
  return change + tailstock;
}

/** What it takes to set the compound to another angle than it had in this set-up, minutes. */
const compoundMinutes = (had: number | undefined, wanted: number | undefined, hand: HandMinutes): number =>
  had === undefined || wanted === undefined || Math.abs(had - wanted) < SAME_ANGLE ? 0 : hand.compoundAgain;

/** Angles closer than this are one setting of the compound, degrees. */
export const SAME_ANGLE = 1e-3;

interface State {
  done: bigint;
  last: number;
  /** What the compound stands at. */
  angle: number | undefined;
  minutes: number;
  sequence: number[];
}

/** States kept per step of the search. Up to 16 operations every state is kept, so that the order is proven. */
const KEPT = { provenUpTo: 16, beyond: 400 };

/**
 * The order that keeps every rule and changes least. Goes through the operations layer by layer; two half-orders that
 * have done the same and end on the same tool and angle differ only in minutes, so the shorter one stays. Ties keep the order in
 * which the operations came.
 * @param before for each operation the ones that come before it, one bit each; without circles
 */
export function findOrder(
  operations: Pick<Operation, 'tool' | 'compound'>[],
  before: bigint[],
  hand: HandMinutes,
): Order {
  const limit = operations.length <= KEPT.provenUpTo ? Infinity : KEPT.beyond;
  let layer: State[] = [{ done: 0n, last: -1, angle: undefined, minutes: 0, sequence: [] }];
  let whole = true;
  for (let step = 0; step < operations.length; step += 1) {
    const next = new Map<string, State>();
    for (const state of layer)
      operations.forEach((operation, index) => {
        const bit = 1n << BigInt(index);
        const mask = before[index] ?? 0n;
        if (state.done & bit || (state.done & mask) !== mask) return;
        const minutes =
          state.minutes +
          changeMinutes(operations[state.last], operation, hand) +
          compoundMinutes(state.angle, operation.compound, hand);
        const done = state.done | bit;
        const last = operation.tool.mount === 'hand' ? state.last : index;
        const angle = operation.compound ?? state.angle;
        const key = `${done}:${operations[last]?.tool.id}:${angle}`;
        const known = next.get(key);
        if (!known || minutes < known.minutes - 1e-9)
          next.set(key, { done, last, angle, minutes, sequence: [...state.sequence, index] });
      });
    const states = [...next.values()];
    whole &&= states.length <= limit;
    layer = states.length <= limit ? states : states.sort((a, b) => a.minutes - b.minutes).slice(0, limit);
  }
  const best = layer.reduce((a, b) => (b.minutes < a.minutes - 1e-9 ? b : a));
  // Nothing changes less than each tool taken up once.
  const tools = operations.filter(
    ({ tool }, index) => operations.findIndex((other) => other.tool.id === tool.id) === index,
  );
  const each = { tailstock: hand.changeTailstock, post: hand.changePost, hand: 0 };
  const least = tools.reduce((total, { tool }) => total + each[tool.mount], 0);
  const gapMinutes = whole ? 0 : Math.max(0, best.minutes - least);
  return { sequence: best.sequence, changeMinutes: best.minutes, proven: gapMinutes < 1e-9, gapMinutes };
}
