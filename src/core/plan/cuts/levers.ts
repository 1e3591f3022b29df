import { isOpByOp, type Setup } from '../../model/plan/setup';

/** At what an operation can be run: speeds, rev/min, feeds, mm/rev, where the gearbox feeds it, and how far it cuts in all, mm. */
export interface Runs {
  /** The usual is the first, and stays where nothing is saved; none where the spindle is stopped. */
  speeds: readonly number[];
  feeds: readonly number[];
  /** At which feed a hand is timed, mm/rev. */
  byHand?: number;
  way: number;
}

/** Where the levers of the headstock and of the feed box stand for an operation; undefined where it leaves them. */
export interface Levers {
  speed?: number | undefined;
  feed?: number | undefined;
}

/** What it takes to move either lever, min. */
interface LeverMinutes {
  speedChange: number;
  feedChange: number;
}

/** A choice with what it and those before it take, and which before it that was. */
interface Reached extends Levers {
  minutes: number;
  before?: Reached;
}

const minutesAt = ({ way, byHand }: Runs, { speed, feed }: Levers): number =>
  speed === undefined ? 0 : way / (speed * (feed ?? byHand ?? Infinity));

/** All levers at which an operation can be run, beside those that stay as they were. */
const standings = ({ speeds, feeds }: Runs, { speed, feed }: Levers): Levers[] =>
  (speeds.length > 0 ? speeds : [speed]).flatMap((at) =>
    (feeds.length > 0 ? feeds : [feed]).map((fed): Levers => ({ speed: at, feed: fed })),
  );

const moved = (from: Levers, to: Levers, { speedChange, feedChange }: LeverMinutes): number =>
  (from.speed !== undefined && from.speed !== to.speed ? speedChange : 0) +
  (from.feed !== undefined && from.feed !== to.feed ? feedChange : 0);

/** The quickest of a piece that begins with levers as they are. */
function fromStanding(start: Levers, runs: readonly Runs[], hand: LeverMinutes): Reached {
  let reached = new Map<string, Reached>([['', { ...start, minutes: 0 }]]);
  for (const operation of runs) {
    const next = new Map<string, Reached>();
    for (const before of reached.values())
      for (const levers of standings(operation, before)) {
        const minutes = before.minutes + moved(before, levers, hand) + minutesAt(operation, levers);
        const key = `${levers.speed} ${levers.feed}`;
        const known = next.get(key);
        if (!known || minutes < known.minutes - 1e-12) next.set(key, { ...levers, minutes, before });
      }
    reached = next;
  }
  // And back, for the next piece.
  return [...reached.values()]
    .map((last): Reached => ({ ...last, minutes: last.minutes + moved(last, start, hand) }))
    .reduce((a, b) => (b.minutes < a.minutes - 1e-12 ? b : a));
}

/**
 * Where the levers stand for each operation of a piece so that cutting and moving them take least together, also from the last
 * operation to the first of the next piece (trade: Time): a cut that is run a little slower than it could be saves two moves.
 * Exact, by dynamic programming over the positions of both.
 */
export function fewestMoves(runs: readonly Runs[], hand: LeverMinutes): Levers[] {
  const lastOf = (of: 'speeds' | 'feeds') => runs.findLast((each) => each[of].length > 0)?.[of] ?? [undefined];
  const starts = lastOf('speeds').flatMap((speed) => lastOf('feeds').map((feed): Levers => ({ speed, feed })));
  const best = starts
    .map((start) => fromStanding(start, runs, hand))
    .reduce((a, b) => (b.minutes < a.minutes - 1e-12 ? b : a));
  const chosen: Levers[] = [];
  for (let at: Reached | undefined = best; at?.before; at = at.before)
    chosen.unshift({ speed: at.speed, feed: at.feed });
  return chosen;
}

/** What moving a lever takes of a piece: where one operation is done for all pieces before the next, its share of it. */
export function leverMinutes(setup: Setup): LeverMinutes {
  const { speedChange, feedChange } = setup.run.shop.handMinutes;
  const pieces = isOpByOp(setup) ? setup.run.quantity : 1;
  return { speedChange: speedChange / pieces, feedChange: feedChange / pieces };
}
