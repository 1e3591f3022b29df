import {
  isSafe,
  spoils,
  type Allocation,
  type Counted,
  type Place,
  type Serve,
  type Served,
  type StopProblem,
} from './problem';

/** What may not serve a place, by place: it spreads more than so much, mm, or it is not measured where that is asked. */
export interface Caps {
  spread: readonly number[];
  /** The same of what is not measured. */
  unmeasured: readonly number[];
  measured: readonly boolean[];
}

/** Nothing that may not. */
export const noCaps = ({ places }: StopProblem): Caps => ({
  spread: places.map(() => Infinity),
  unmeasured: places.map(() => Infinity),
  measured: places.map(() => false),
});

const isLet = (serve: Serve, place: number, { spread, unmeasured, measured }: Caps): boolean =>
  serve.spread <= (spread[place] ?? Infinity) + 1e-9 &&
  (serve.measured === true || (!measured[place] && serve.spread <= (unmeasured[place] ?? Infinity) + 1e-9));

/** What a place counts that nothing serves, minutes: more than any batch. */
const NOTHING = 1e8;

interface Cheapest {
  minutes: number;
  served: Served;
}

/** What one of a kind that is counted saves, made ready, and at which places, minutes. */
interface CountedSaving {
  kind: string;
  saves: number;
  places: number[];
}

/** The cheapest of a place's own means; `counted` those that there are only so many of. */
function cheapestOwn({ own }: Place, place: number, caps: Caps, counted: boolean): Cheapest | undefined {
  let best: Cheapest | undefined;
  own.forEach((serve, index) => {
    if ((serve.counted !== undefined) !== counted || !isLet(serve, place, caps)) return;
    if (!best || serve.minutes < best.minutes - 1e-9) best = { minutes: serve.minutes, served: { own: index } };
  });
  return best;
}

/** An allocation, and what none comes under, minutes: itself where everything was looked at. */
export interface Bounded extends Allocation {
  least: number;
  /** So many sets of facilities were looked at. */
  looked: number;
}

/** What a facility does for the places that it serves for less than they serve themselves. */
interface Reach {
  /** Its kind, by number. */
  kind: number;
  ready: number;
  hard: boolean;
  setting: number;
  places: Int32Array;
  /** Minutes at each of those, beside what a hard stop weighs. */
  minutes: Float64Array;
}

/** What is open in the search: facilities, what they took to make ready, how deep the deepest hard one is, and what each place then costs at least. */
interface Open {
  facilities: readonly number[];
  ready: number;
  deepest: number;
  least: Float64Array;
  /** How many more there may be of each kind. */
  room: Int32Array;
}

/** Sorts by gain, the most first, equal ones by number: in place, since what was sorted for the node above is nearly so already. */
function mostFirst(rest: number[], gains: Float64Array): void {
  for (let at = 1; at < rest.length; at += 1) {
    const index = rest[at] as number;
    const gain = gains[index] as number;
    let to = at;
    for (; to > 0; to -= 1) {
      const before = rest[to - 1] as number;
      const saves = gains[before] as number;
      if (saves > gain || (saves === gain && before < index)) break;
      rest[to] = before;
    }
    rest[to] = index;
  }
}

/** The stops of one set-up at their least, by branch and bound over what is made ready. */
class SetupSearch {
  private readonly plain: (Cheapest | undefined)[];
  private readonly counted: (Cheapest | undefined)[];
  private readonly isCounted: boolean;
  private readonly reach: Reach[];
  private readonly kinds: string[];
  private readonly weighed = new Map<number, Float64Array>();
  /** What each facility would save beside those that are open: of the node that is looked at. */
  private readonly gains: Float64Array;
  private best: Allocation | undefined;
  private looked = 0;
  /** No allocation is less, where not all were looked at. */
  private bound = -Infinity;

  constructor(
    private readonly problem: StopProblem,
    caps: Caps,
    private readonly nodes: number,
  ) {
    const { places, facilities } = problem;
    this.plain = places.map((place, index) => cheapestOwn(place, index, caps, false));
    this.counted = places.map((place, index) => cheapestOwn(place, index, caps, true));
    this.isCounted = this.counted.some((cheapest) => cheapest !== undefined);
    this.gains = new Float64Array(facilities.length);
    this.kinds = [...new Set(facilities.map(({ kind }) => kind))];
    this.reach = facilities.map(({ kind, ready, hard, setting, serves }): Reach => {
      // What serves a place no cheaper than that itself never does; what is counted may be used up by others.
      const served = serves.flatMap((serve, place) =>
        serve && isLet(serve, place, caps) && serve.minutes < this.alone(place) - 1e-9
          ? [{ place, minutes: serve.minutes }]
          : [],
      );
      return {
        kind: this.kinds.indexOf(kind),
        ready,
        hard,
        setting,
        places: Int32Array.from(served, ({ place }) => place),
        minutes: Float64Array.from(served, ({ minutes }) => minutes),
      };
    });
  }

  private alone(place: number): number {
    return this.plain[place]?.minutes ?? NOTHING;
  }

  /** The least allocation; undefined where a place is served by nothing that it may. */
  find(): Bounded | undefined {
    const { places, facilities, limits } = this.problem;
    const useful = facilities.flatMap((_, index) => (this.reach[index]?.places.length ? [index] : []));
    this.extend(
      {
        facilities: [],
        ready: 0,
        deepest: -Infinity,
        least: Float64Array.from(places, (_, place) => this.alone(place)),
        room: Int32Array.from(this.kinds, (kind) => Math.min(limits[kind] ?? Infinity, facilities.length)),
      },
      useful,
    );
    const { best, looked } = this;
    return best && { ...best, looked, least: looked > this.nodes ? Math.min(this.bound, best.minutes) : best.minutes };
  }

  /** What hard stops weigh at each place when the deepest is so deep, minutes: nothing, the risk, or no use at all. */
  private weights(deepest: number): Float64Array {
    const known = this.weighed.get(deepest);
    if (known) return known;
    const weights = Float64Array.from(this.problem.places, (place) =>
      isSafe(place, deepest) ? spoils(place, deepest) : Infinity,
    );
    this.weighed.set(deepest, weights);
    return weights;
  }

  /** Lets a facility serve what it serves for less. @returns what that saves, minutes */
  private lower(least: Float64Array, index: number, weights: Float64Array): number {
    const { places, minutes, hard } = this.reach[index] as Reach;
    let saved = 0;
    for (let at = 0; at < places.length; at += 1) {
      const place = places[at] as number;
      const costs = (minutes[at] as number) + (hard ? (weights[place] as number) : 0);
      const was = least[place] as number;
      if (costs >= was) continue;
      saved += was - costs;
      least[place] = costs;
    }
    return saved;
  }

  /** The most that one more facility saves, less making it ready: deeper stops only make others dearer. */
  private gain(index: number, least: Float64Array, weights: Float64Array): number {
    const { places, minutes, hard, ready } = this.reach[index] as Reach;
    let saved = -ready;
    for (let at = 0; at < places.length; at += 1) {
      const place = places[at] as number;
      const less = (least[place] as number) - (minutes[at] as number) - (hard ? (weights[place] as number) : 0);
      if (less > 0) saved += less;
    }
    return saved;
  }

  /** What is open with one facility more. */
  private opened(open: Open, index: number): Open {
    const { kind, ready, hard, setting } = this.reach[index] as Reach;
    const facilities = [...open.facilities, index];
    const deepest = hard ? Math.max(open.deepest, setting) : open.deepest;
    const room = open.room.slice();
    room[kind] = (room[kind] as number) - 1;
    const weights = this.weights(deepest);
    const isDeeper = deepest !== open.deepest;
    const least = isDeeper
      ? Float64Array.from(this.problem.places, (_, place) => this.alone(place))
      : open.least.slice();
    for (const other of isDeeper ? facilities : [index]) this.lower(least, other, weights);
    return { facilities, ready: open.ready + ready, deepest, least, room };
  }

  /** Everything that further facilities can add to those that are open. */
  private extend(open: Open, further: readonly number[]): void {
    const weights = this.weights(open.deepest);
    let value = open.ready;
    for (const minutes of open.least) value += minutes;
    const byCounted = this.mostCounted(open.least);
    this.consider(open, value - byCounted);
    this.looked += 1;
    const { gains } = this;
    const rest = further.filter((index) => (open.room[(this.reach[index] as Reach).kind] as number) > 0);
    for (const index of rest) gains[index] = this.gain(index, open.least, weights);
    // The one that saves most first: what comes after goes without it, and is soon bounded.
    mostFirst(rest, gains);
    const together = this.mostTogether(rest, gains, open.room);
    const isFirst = open.facilities.length === 0;
    if (!isFirst && this.isBeaten(value - (together[0] ?? 0) - byCounted)) return;
    const below = this.mostBelow(rest, open.least, weights);
    if (isFirst) this.bound = value - Math.min((together[0] ?? 0) + byCounted, below[0] ?? 0);
    for (let at = 0; at < rest.length && this.looked <= this.nodes; at += 1) {
      const most = Math.min((together[at] as number) + byCounted, below[at] as number);
      if (this.isBeaten(value - most)) return;
      this.extend(this.opened(open, rest[at] as number), rest.slice(at + 1));
    }
  }

  /** Whether what is no less than so much was found already, minutes. */
  private isBeaten(least: number): boolean {
    return this.best !== undefined && least >= this.best.minutes - 1e-9;
  }

  /** The most that those from each on may still save together, as many of each kind as there are: savings only shrink the more there are. */
  private mostTogether(rest: readonly number[], gains: Float64Array, room: Int32Array): Float64Array {
    const most = new Float64Array(rest.length);
    const taken: number[][] = this.kinds.map(() => []);
    let sum = 0;
    for (let at = rest.length - 1; at >= 0; at -= 1) {
      const index = rest[at] as number;
      const gain = gains[index] as number;
      if (gain > 0) {
        const { kind } = this.reach[index] as Reach;
        const own = taken[kind] as number[];
        own.push(gain);
        sum += gain;
        // Rising: the first that is too many is the least of them.
        if (own.length > (room[kind] as number)) sum -= own[own.length - 1 - (room[kind] as number)] as number;
      }
      most[at] = sum;
    }
    return most;
  }

  /** The same by places: none is served for less than by the best of all that are left, and one is made ready. */
  private mostBelow(rest: readonly number[], open: Float64Array, weights: Float64Array): Float64Array {
    const least = open.slice();
    let saved = 0;
    if (this.isCounted)
      this.counted.forEach((cheapest, place) => {
        const less = cheapest ? (least[place] as number) - cheapest.minutes : 0;
        if (less <= 0) return;
        saved += less;
        least[place] = (least[place] as number) - less;
      });
    const most = new Float64Array(rest.length);
    let once = Infinity;
    for (let at = rest.length - 1; at >= 0; at -= 1) {
      const index = rest[at] as number;
      saved += this.lower(least, index, weights);
      once = Math.min(once, (this.reach[index] as Reach).ready);
      most[at] = saved - once;
    }
    return most;
  }

  /** What each of the means that are counted saves where places take it for which it is less, the most first. */
  private countedSavings(least: Float64Array): CountedSaving[] {
    const each = new Map<string, CountedSaving>();
    this.counted.forEach((cheapest, place) => {
      const saves = cheapest ? (least[place] as number) - cheapest.minutes : 0;
      const by = cheapest && this.countedAt(place, cheapest);
      if (!by || saves <= 1e-9) return;
      const key = `${by.kind} ${by.one}`;
      const known = each.get(key) ?? { kind: by.kind, saves: -by.ready, places: [] };
      each.set(key, { ...known, saves: known.saves + saves, places: [...known.places, place] });
    });
    return [...each.values()]
      .filter(({ saves }) => saves > 1e-9)
      .sort((a, b) => b.saves - a.saves || (a.places[0] ?? 0) - (b.places[0] ?? 0));
  }

  /** As many of each kind as there are, the most first. */
  private withinLimits(savings: readonly CountedSaving[]): CountedSaving[] {
    const used = new Map<string, number>();
    return savings.filter(({ kind }) => {
      const many = used.get(kind) ?? 0;
      used.set(kind, many + 1);
      return many < (this.problem.limits[kind] ?? Infinity);
    });
  }

  /** The most that means which are counted save. */
  private mostCounted(least: Float64Array): number {
    if (!this.isCounted) return 0;
    return this.withinLimits(this.countedSavings(least)).reduce((sum, { saves }) => sum + saves, 0);
  }

  /** By what each place is served, by the cheapest of what is open and of what it has by itself. */
  private served({ facilities, deepest, least }: Open): (Served | undefined)[] {
    const served = this.plain.map((cheapest) => cheapest?.served);
    const weights = this.weights(deepest);
    const costs = Float64Array.from(this.plain, (_, place) => this.alone(place));
    for (const index of facilities) {
      const { places, minutes, hard } = this.reach[index] as Reach;
      places.forEach((place, at) => {
        const by = (minutes[at] as number) + (hard ? (weights[place] as number) : 0);
        if (by >= (costs[place] as number) - 1e-9) return;
        costs[place] = by;
        served[place] = { facility: index };
      });
    }
    if (this.isCounted)
      for (const { places } of this.withinLimits(this.countedSavings(least)))
        for (const place of places) served[place] = this.counted[place]?.served;
    return served;
  }

  /** Takes exactly what is open, where that is less than what was found before. */
  private consider(open: Open, minutes: number): void {
    if (minutes >= (this.best?.minutes ?? NOTHING) - 1e-9) return;
    const served = this.served(open);
    if (served.every((by) => by !== undefined)) this.best = { open: [...open.facilities], served, minutes };
  }

  private countedAt(place: number, { served }: Cheapest): Counted | undefined {
    return 'own' in served ? this.problem.places[place]?.own[served.own]?.counted : undefined;
  }
}

/**
 * The least minutes of a set-up's stops over the batch, proven: what is made ready is branched on, and each place takes the cheapest
 * of what there is then. Bounded by what single facilities would save, which together only shrinks (a facility location).
 * @param nodes so many sets of facilities are looked at; beyond them the best that was found stands, with what bounds it
 * @returns undefined where a place is served by nothing within its caps
 */
export const setupStops = (problem: StopProblem, caps: Caps, nodes = Infinity): Bounded | undefined =>
  new SetupSearch(problem, caps, nodes).find();
