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

/** The positions of both levers that any of some operations takes, the fastest first: of two as good that one is taken. */
interface Positions {
  speeds: readonly (number | undefined)[];
  feeds: readonly (number | undefined)[];
}

function positionsOf(runs: readonly Runs[]): Positions {
  const all = (of: 'speeds' | 'feeds') => {
    const values = [...new Set(runs.flatMap((each) => [...each[of]]))].sort((a, b) => b - a);
    return values.length > 0 ? values : [undefined];
  };
  return { speeds: all('speeds'), feeds: all('feeds') };
}

/** What the quickest way to each position takes, and the least over one lever or both with the place where that is. */
function leastOf(minutes: Float64Array, speeds: number, feeds: number) {
  const bySpeed = new Int32Array(speeds);
  const byFeed = new Int32Array(feeds);
  let any = 0;
  for (let speed = 0; speed < speeds; speed += 1) {
    let best = speed * feeds;
    for (let at = best; at < (speed + 1) * feeds; at += 1) if (valueAt(minutes, at) < valueAt(minutes, best)) best = at;
    bySpeed[speed] = best;
    if (valueAt(minutes, best) < valueAt(minutes, any)) any = best;
  }
  for (let feed = 0; feed < feeds; feed += 1) {
    let best = feed;
    for (let at = feed; at < minutes.length; at += feeds) if (valueAt(minutes, at) < valueAt(minutes, best)) best = at;
    byFeed[feed] = best;
  }
  return { bySpeed, byFeed, any };
}

const valueAt = (list: Float64Array | Int32Array, at: number): number => list[at] ?? Infinity;

/** The quickest of a piece that begins, and so ends, with both levers in one position: its minutes, and the position for each operation. */
function fromPosition(start: number, runs: readonly Runs[], { speeds, feeds }: Positions, hand: LeverMinutes) {
  const { speedChange, feedChange } = hand;
  const size = speeds.length * feeds.length;
  const places = runs.map((each) => ({
    speeds: each.speeds.map((speed) => speeds.indexOf(speed)),
    feeds: each.feeds.map((feed) => feeds.indexOf(feed)),
  }));
  const everyFeed = feeds.map((_, index) => index);
  const before: Int32Array[] = [];
  let minutes = new Float64Array(size).fill(Infinity);
  minutes[start] = 0;
  for (const [index, { way, byHand }] of runs.entries()) {
    const from = new Int32Array(size);
    const own = places[index] ?? { speeds: [], feeds: [] };
    // What moves neither lever, or no spindle, leaves both where they are.
    if (own.speeds.length === 0) {
      before.push(from.map((_, at) => at));
      continue;
    }
    const least = leastOf(minutes, speeds.length, feeds.length);
    const next = new Float64Array(size).fill(Infinity);
    for (const speed of own.speeds)
      for (const feed of own.feeds.length > 0 ? own.feeds : everyFeed) {
        const at = speed * feeds.length + feed;
        let [best, taken] = [valueAt(minutes, at), at];
        const consider = (place: number, moved: number) => {
          const value = valueAt(minutes, place) + moved;
          if (value < best - 1e-12) [best, taken] = [value, place];
        };
        consider(valueAt(least.byFeed, feed), speedChange);
        if (own.feeds.length > 0) {
          consider(valueAt(least.bySpeed, speed), feedChange);
          consider(least.any, speedChange + feedChange);
        }
        next[at] = best + way / ((speeds[speed] ?? Infinity) * (byHand ?? feeds[feed] ?? Infinity));
        from[at] = taken;
      }
    before.push(from);
    minutes = next;
  }
  // And back, for the next piece.
  const back = (at: number) =>
    valueAt(minutes, at) +
    (Math.floor(at / feeds.length) === Math.floor(start / feeds.length) ? 0 : speedChange) +
    (at % feeds.length === start % feeds.length ? 0 : feedChange);
  let last = 0;
  for (let at = 1; at < size; at += 1) if (back(at) < back(last) - 1e-12) last = at;
  return { minutes: back(last), last, before };
}

/**
 * Where the levers stand for each operation of a piece so that cutting and moving them take least together, also from the last
 * operation to the first of the next piece (trade: Time): a cut that is run a little slower than it could be saves two moves.
 * Exact, by dynamic programming over the positions of both.
 */
export function fewestMoves(runs: readonly Runs[], hand: LeverMinutes): Levers[] {
  const positions = positionsOf(runs);
  const { speeds, feeds } = positions;
  // The last that moves a lever leaves it there for the next piece.
  const lastOf = (of: 'speeds' | 'feeds') => runs.findLast((each) => each[of].length > 0)?.[of] ?? [undefined];
  const starts = lastOf('speeds').flatMap((speed) =>
    lastOf('feeds').map((feed) => speeds.indexOf(speed) * feeds.length + feeds.indexOf(feed)),
  );
  const best = starts
    .map((start) => fromPosition(start, runs, positions, hand))
    .reduce((a, b) => (b.minutes < a.minutes - 1e-12 ? b : a));
  const chosen: Levers[] = [];
  let at = best.last;
  for (const from of best.before.toReversed()) {
    chosen.unshift({ speed: speeds[Math.floor(at / feeds.length)], feed: feeds[at % feeds.length] });
    at = valueAt(from, at);
  }
  return chosen;
}

/** What moving a lever takes of a piece: where one operation is done for all pieces before the next, its share of it. */
export function leverMinutes(setup: Setup): LeverMinutes {
  const { speedChange, feedChange } = setup.run.shop.handMinutes;
  const pieces = isOpByOp(setup) ? setup.run.quantity : 1;
  return { speedChange: speedChange / pieces, feedChange: feedChange / pieces };
}
