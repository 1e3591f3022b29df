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
  /** The post turned, degrees; said only where something of the set-up turns it. */
  postAt?: number;
  /** The carriage clamped, or free. */
  locked?: boolean;
  /** The spindle, rev/min. */
  speed?: number;
  /** Where the carriage stops, mm. */
  station?: number;
}

/** What the machine stands at: which tool works, the one in the post and the one in the tailstock, and how it is set. */
interface Standing {
  tool?: string | undefined;
  post?: string | undefined;
  tailstock?: string | undefined;
  mount?: 'post' | 'tailstock' | undefined;
  compound?: number | undefined;
  postAt?: number | undefined;
  locked?: boolean | undefined;
  speed?: number | undefined;
  station?: number | undefined;
}

/** What it stands at for an operation; what the hand takes up changes nothing on it. */
function standingFor({ tool, compound, postAt, locked, speed, station }: Wanted): Standing {
  const { id, mount } = tool;
  return { ...(mount === 'hand' ? {} : { tool: id, [mount]: id, mount }), compound, postAt, locked, speed, station };
}

const differ = <T>(at: T | undefined, to: T | undefined): boolean => at !== undefined && to !== undefined && at !== to;

/** Of orders that take the same the one wins that takes each tool up once and does all its work: so little counts, min. */
const TAKEN_UP = 1e-6;

/**
 * What it takes to go from what the machine stands at to something else, minutes (trade: Order, Time): a drill stays in the
 * tailstock while the post works, and the tool of the post in that.
 * @param takenUp what taking up another tool counts beside that
 */
function changeMinutes(at: Standing, to: Standing, hand: HandMinutes, takenUp = TAKEN_UP): number {
  let minutes = differ(at.tool, to.tool) ? takenUp : 0;
  if (differ(at.post, to.post)) minutes += hand.changePost;
  if (differ(at.tailstock, to.tailstock)) minutes += hand.changeTailstock;
  if (differ(at.mount, to.mount)) minutes += hand.tailstock;
  if (to.compound !== undefined && at.compound !== undefined && Math.abs(at.compound - to.compound) >= SAME_ANGLE)
    minutes += hand.compoundAgain;
  if (differ(at.postAt, to.postAt)) minutes += hand.turnPost;
  if (differ(at.locked, to.locked)) minutes += hand.lockCarriage;
  if (differ(at.speed, to.speed)) minutes += hand.speedChange;
  if (differ(at.station, to.station)) minutes += hand.station;
  return minutes;
}

/** What is said of the machine first, and else later. */
const or = (first: Standing, later: Standing): Standing => ({
  tool: first.tool ?? later.tool,
  post: first.post ?? later.post,
  tailstock: first.tailstock ?? later.tailstock,
  mount: first.mount ?? later.mount,
  compound: first.compound ?? later.compound,
  postAt: first.postAt ?? later.postAt,
  locked: first.locked ?? later.locked,
  speed: first.speed ?? later.speed,
  station: first.station ?? later.station,
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

const keyOf = ({ tool, post, tailstock, compound, postAt, locked, speed, station }: Standing) =>
  `${tool}:${post}:${tailstock}:${compound}:${postAt}:${locked}:${speed}:${station}`;

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

/** What changes between operations in their order, and back for the next piece, minutes. */
function minutesOf(order: readonly Standing[], hand: HandMinutes): number {
  let at: Standing = {};
  let first: Standing = {};
  let minutes = 0;
  for (const standing of order) {
    minutes += changeMinutes(at, standing, hand, 0);
    at = or(standing, at);
    first = or(first, standing);
  }
  return minutes + changeMinutes(at, first, hand, 0);
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
  const wanted = operations.map(standingFor);
  for (let step = 0; step < operations.length; step += 1) {
    const next = new Map<string, State>();
    for (const state of layer)
      wanted.forEach((standing, index) => {
        const bit = bits[index] ?? 0n;
        const mask = before[index] ?? 0n;
        if (state.done & bit || (state.done & mask) !== mask) return;
        const minutes = state.minutes + changeMinutes(state.at, standing, hand);
        const done = state.done | bit;
        const at = or(standing, state.at);
        const first = or(state.first, standing);
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
  // Nothing changes less than each tool taken up once, where its mount holds more than one.
  const least = (['post', 'tailstock'] as const).reduce((total, mount) => {
    const tools = new Set(operations.flatMap(({ tool }) => (tool.mount === mount ? [tool.id] : []))).size;
    return total + (tools > 1 ? tools * (mount === 'post' ? hand.changePost : hand.changeTailstock) : 0);
  }, 0);
  const minutes = minutesOf(
    best.sequence.map((index) => wanted[index] ?? {}),
    hand,
  );
  const gapMinutes = whole ? 0 : Math.max(0, minutes - least);
  return { sequence: best.sequence, changeMinutes: minutes, proven: gapMinutes < 1e-9, gapMinutes };
}
