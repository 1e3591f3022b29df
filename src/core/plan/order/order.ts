import type { HandMinutes, Tool } from '../../model/shop/shop';

/** An order with what is known of it. */
export interface Order {
  /** Indices of the operations, first to last. */
  sequence: number[];
  /** Minutes of changing tools, speeds and stops, moving the tailstock and setting the compound over, per piece. */
  changeMinutes: number;
  /** No order that keeps the rules changes less; else `gapMinutes` is the most that could be saved. */
  proven: boolean;
  gapMinutes: number;
}

/** What an operation wants of the machine; what it leaves open stays as the one before left it. */
export interface Wanted {
  tool: Pick<Tool, 'id' | 'mount'>;
  /** The compound, degrees from the axis. */
  compound?: number;
  /** The spindle, rev/min. */
  speed?: number;
  /** Where the carriage stops, mm. */
  station?: number;
}

/** What the machine stands at after some operations. */
type Standing = { [Own in keyof Wanted]?: Wanted[Own] | undefined };

/** What it takes to go from what the machine stands at to the next operation, minutes (trade: Order, Time). */
function changeMinutes(at: Standing, { tool, compound, speed, station }: Standing, hand: HandMinutes): number {
  let minutes = 0;
  // What the hand takes up changes nothing on the machine.
  if (tool && tool.mount !== 'hand' && at.tool && at.tool.id !== tool.id) {
    minutes += tool.mount === 'tailstock' ? hand.changeTailstock : hand.changePost;
    if ((at.tool.mount === 'tailstock') !== (tool.mount === 'tailstock')) minutes += hand.tailstock;
  }
  if (compound !== undefined && at.compound !== undefined && Math.abs(at.compound - compound) >= SAME_ANGLE)
    minutes += hand.compoundAgain;
  if (speed !== undefined && at.speed !== undefined && at.speed !== speed) minutes += hand.speedChange;
  if (station !== undefined && at.station !== undefined && at.station !== station) minutes += hand.station;
  return minutes;
}

/** What the first of some operations want of it: that is what the next piece begins with. */
const wantedFirst = (first: Standing, { tool, compound, speed, station }: Wanted): Standing => ({
  tool: first.tool ?? (tool.mount === 'hand' ? undefined : tool),
  compound: first.compound ?? compound,
  speed: first.speed ?? speed,
  station: first.station ?? station,
});

/** What it stands at then. */
const after = (at: Standing, { tool, compound, speed, station }: Wanted): Standing => ({
  tool: tool.mount === 'hand' ? at.tool : tool,
  compound: compound ?? at.compound,
  speed: speed ?? at.speed,
  station: station ?? at.station,
});

/** Angles closer than this are one setting of the compound, degrees. */
export const SAME_ANGLE = 1e-3;

interface State {
  done: bigint;
  first: Standing;
  at: Standing;
  minutes: number;
  sequence: number[];
}

const keyOf = ({ tool, compound, speed, station }: Standing) => `${tool?.id}:${compound}:${speed}:${station}`;

/** States kept per step of the search. Up to 16 operations every state is kept, so that the order is proven. */
const KEPT = { provenUpTo: 16, beyond: 400 };

/** The quicker of two half-orders of the same operations; of two as quick the one that keeps the order they came in. */
function isBetter(state: State, other: State): boolean {
  if (Math.abs(state.minutes - other.minutes) > 1e-9) return state.minutes < other.minutes;
  const at = state.sequence.findIndex((index, place) => index !== other.sequence[place]);
  return at >= 0 && (state.sequence[at] ?? 0) < (other.sequence[at] ?? 0);
}

/**
 * States without those that another of the same operations is never worse than: it would take no longer to set the
 * machine from where that one stands to where this one does. What it takes is a distance, so no order after it is lost.
 */
function undominated(states: readonly State[], hand: HandMinutes): State[] {
  const kept = new Map<bigint, State[]>();
  for (const state of [...states].sort((a, b) => a.minutes - b.minutes)) {
    const same = kept.get(state.done);
    if (!same) kept.set(state.done, [state]);
    else if (
      !same.some((reached) => {
        // From where this one stands to where that one does; and in the end back, by where that one began.
        const reset = changeMinutes(reached.at, state.at, hand) + changeMinutes(state.first, reached.first, hand);
        return isBetter({ ...reached, minutes: reached.minutes + reset }, state);
      })
    )
      same.push(state);
  }
  return [...kept.values()].flat();
}

/**
 * The order that keeps every rule and changes least, from the last operation to the first of the next piece as well.
 * Goes through the operations layer by layer; two half-orders that have done the same and leave the machine at the same
 * differ only in minutes, so the shorter one stays. Ties keep the order in which the operations came.
 * @param before for each operation the ones that come before it, one bit each; without circles
 */
export function findOrder(operations: readonly Wanted[], before: readonly bigint[], hand: HandMinutes): Order {
  const limit = operations.length <= KEPT.provenUpTo ? Infinity : KEPT.beyond;
  let layer: State[] = [{ done: 0n, first: {}, at: {}, minutes: 0, sequence: [] }];
  let whole = true;
  const bits = operations.map((_, index) => 1n << BigInt(index));
  for (let step = 0; step < operations.length; step += 1) {
    const next = new Map<string, State>();
    for (const state of layer)
      operations.forEach((operation, index) => {
        const bit = bits[index] ?? 0n;
        const mask = before[index] ?? 0n;
        if (state.done & bit || (state.done & mask) !== mask) return;
        const minutes = state.minutes + changeMinutes(state.at, operation, hand);
        const done = state.done | bit;
        const at = after(state.at, operation);
        const first = wantedFirst(state.first, operation);
        const key = `${done}:${keyOf(at)}:${keyOf(first)}`;
        const known = next.get(key);
        const reached = { done, first, at, minutes, sequence: [...state.sequence, index] };
        if (!known || isBetter(reached, known)) next.set(key, reached);
      });
    const states = undominated([...next.values()], hand);
    whole &&= states.length <= limit;
    layer = states.length <= limit ? states : states.sort((a, b) => a.minutes - b.minutes).slice(0, limit);
  }
  // And back to the first, for the next piece.
  const closed = layer.map((state) => ({
    ...state,
    minutes: state.minutes + changeMinutes(state.at, state.first, hand),
  }));
  const best = closed.reduce((a, b) => (isBetter(b, a) ? b : a));
  // Nothing changes less than each tool taken up once.
  const tools = operations.filter(
    ({ tool }, index) => operations.findIndex((other) => other.tool.id === tool.id) === index,
  );
  const each = { tailstock: hand.changeTailstock, post: hand.changePost, hand: 0 };
  const least = tools.length > 1 ? tools.reduce((total, { tool }) => total + each[tool.mount], 0) : 0;
  const gapMinutes = whole ? 0 : Math.max(0, best.minutes - least);
  return { sequence: best.sequence, changeMinutes: best.minutes, proven: gapMinutes < 1e-9, gapMinutes };
}
