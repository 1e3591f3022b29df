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

/** The stops of one set-up at their least, by branch and bound over what is made ready. */
class SetupSearch {
  private readonly plain: (Cheapest | undefined)[];
  private readonly counted: (Cheapest | undefined)[];
  /** By facility and place: minutes, beside what a hard stop weighs; infinite where it may not serve it. */
  private readonly minutes: Float64Array[];
  private best: Allocation | undefined;
  private looked = 0;
  /** No allocation is less, where not all were looked at. */
  private least = -Infinity;

  constructor(
    private readonly problem: StopProblem,
    caps: Caps,
    private readonly nodes: number,
  ) {
    const { places, facilities } = problem;
    this.plain = places.map((place, index) => cheapestOwn(place, index, caps, false));
    this.counted = places.map((place, index) => cheapestOwn(place, index, caps, true));
    this.minutes = facilities.map(({ serves }) =>
      Float64Array.from(serves, (serve, place) => (serve && isLet(serve, place, caps) ? serve.minutes : Infinity)),
    );
  }

  /** The least allocation; undefined where a place is served by nothing that it may. */
  find(): Bounded | undefined {
    const { places, facilities } = this.problem;
    const alone = Float64Array.from(places, (_, place) => this.plain[place]?.minutes ?? NOTHING);
    // What serves no place cheaper than the place by itself never does; what is counted may be used up by others.
    const useful = facilities.flatMap((_, index) =>
      this.minutes[index]?.some((minutes, place) => minutes < (alone[place] as number) - 1e-9) ? [index] : [],
    );
    this.extend([], useful, 0, -Infinity);
    const { best } = this;
    const { looked } = this;
    return best && { ...best, looked, least: looked > this.nodes ? Math.min(this.least, best.minutes) : best.minutes };
  }

  /** What hard stops weigh at each place when the deepest is so deep, minutes: nothing, the risk, or no use at all. */
  private weights(deepestOpen: number): Float64Array {
    return Float64Array.from(this.problem.places, (place) =>
      isSafe(place, deepestOpen) ? spoils(place, deepestOpen) : Infinity,
    );
  }

  /** What each place costs at least with what is open, without what is counted. */
  private relaxed(open: readonly number[], weights: Float64Array): Float64Array {
    const least = Float64Array.from(this.problem.places, (_, place) => this.plain[place]?.minutes ?? NOTHING);
    for (const index of open) this.lower(least, index, weights);
    return least;
  }

  private lower(least: Float64Array, index: number, weights: Float64Array): void {
    const hard = this.problem.facilities[index]?.hard === true;
    const minutes = this.minutes[index] as Float64Array;
    for (let place = 0; place < least.length; place += 1) {
      const costs = (minutes[place] as number) + (hard ? (weights[place] as number) : 0);
      if (costs < (least[place] as number)) least[place] = costs;
    }
  }

  /** The most that one more facility saves, less making it ready: deeper stops only make others dearer. */
  private gain(index: number, relaxed: Float64Array, weights: Float64Array): number {
    const facility = this.problem.facilities[index];
    const minutes = this.minutes[index] as Float64Array;
    let saved = -(facility?.ready ?? 0);
    for (let place = 0; place < relaxed.length; place += 1) {
      const costs = (minutes[place] as number) + (facility?.hard ? (weights[place] as number) : 0);
      if (costs < (relaxed[place] as number)) saved += (relaxed[place] as number) - costs;
    }
    return saved;
  }

  /** Everything that further facilities can add to those that are open. */
  private extend(open: readonly number[], further: readonly number[], ready: number, deepestOpen: number): void {
    const { facilities, limits } = this.problem;
    const weights = this.weights(deepestOpen);
    this.consider(open, ready, weights);
    this.looked += 1;
    const relaxed = this.relaxed(open, weights);
    const value = relaxed.reduce((sum, minutes) => sum + minutes, ready);
    const byCounted = this.mostCounted(relaxed);
    const room = new Map<string, number>();
    for (const index of further) {
      const { kind } = facilities[index] ?? { kind: '' };
      if (!room.has(kind))
        room.set(kind, (limits[kind] ?? Infinity) - open.filter((other) => facilities[other]?.kind === kind).length);
    }
    // The one that saves most first: what comes after goes without it, and is soon bounded.
    const rest = further
      .filter((index) => (room.get(facilities[index]?.kind ?? '') ?? 0) > 0)
      .map((index) => ({ index, gain: this.gain(index, relaxed, weights) }))
      .sort((a, b) => b.gain - a.gain || a.index - b.index);
    const indices = rest.map(({ index }) => index);
    const below = this.mostBelow(indices, relaxed, weights);
    if (open.length === 0) this.least = value - Math.min(this.mostGain(rest, 0, room) + byCounted, below[0] ?? 0);
    for (let at = 0; at < rest.length && this.looked <= this.nodes; at += 1) {
      const most = Math.min(this.mostGain(rest, at, room) + byCounted, below[at] as number);
      if (this.best && value - most >= this.best.minutes - 1e-9) return;
      const index = indices[at] as number;
      const { hard, setting, ready: once } = facilities[index] ?? { hard: false, setting: 0, ready: 0 };
      const deeper = hard ? Math.max(deepestOpen, setting) : deepestOpen;
      this.extend([...open, index], indices.slice(at + 1), ready + once, deeper);
    }
  }

  /** The most that those from one on may still save together: savings only shrink the more there are. */
  private mostGain(
    rest: readonly { index: number; gain: number }[],
    from: number,
    room: ReadonlyMap<string, number>,
  ): number {
    const taken = new Map<string, number>();
    let most = 0;
    for (let at = from; at < rest.length; at += 1) {
      const { index, gain } = rest[at] as { index: number; gain: number };
      if (gain <= 0) break;
      const kind = this.problem.facilities[index]?.kind ?? '';
      const many = taken.get(kind) ?? 0;
      if (many >= (room.get(kind) ?? 0)) continue;
      taken.set(kind, many + 1);
      most += gain;
    }
    return most;
  }

  /** What each of the means that are counted saves where places take it for which it is less, the most first. */
  private countedSavings(without: (place: number) => number): CountedSaving[] {
    const each = new Map<string, CountedSaving>();
    this.counted.forEach((cheapest, place) => {
      const saves = cheapest ? without(place) - cheapest.minutes : 0;
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
  private mostCounted(relaxed: Float64Array): number {
    const savings = this.withinLimits(this.countedSavings((place) => relaxed[place] as number));
    return savings.reduce((sum, { saves }) => sum + saves, 0);
  }

  /** The same by places, from each on: none is served for less than by the best of all that are left, and one is made ready. */
  private mostBelow(indices: readonly number[], relaxed: Float64Array, weights: Float64Array): Float64Array {
    const least = relaxed.map((minutes, place) => Math.min(minutes, this.counted[place]?.minutes ?? NOTHING));
    const most = new Float64Array(indices.length);
    let once = Infinity;
    for (let at = indices.length - 1; at >= 0; at -= 1) {
      const index = indices[at] as number;
      this.lower(least, index, weights);
      once = Math.min(once, this.problem.facilities[index]?.ready ?? 0);
      let saved = -once;
      for (let place = 0; place < least.length; place += 1)
        saved += (relaxed[place] as number) - (least[place] as number);
      most[at] = saved;
    }
    return most;
  }

  /** The cheapest of what is open for each place, and what it has by itself that is not counted. */
  private cheapest(open: readonly number[], weights: Float64Array): (Cheapest | undefined)[] {
    return this.problem.places.map((_, place) => {
      let best = this.plain[place];
      for (const index of open) {
        const hard = this.problem.facilities[index]?.hard === true;
        const costs = (this.minutes[index]?.[place] ?? Infinity) + (hard ? (weights[place] as number) : 0);
        if (costs < (best?.minutes ?? NOTHING) - 1e-9) best = { minutes: costs, served: { facility: index } };
      }
      return best;
    });
  }

  /** What exactly so many facilities come to, each place by the cheapest that is safe beside all of them. */
  private consider(open: readonly number[], ready: number, weights: Float64Array): void {
    const best = this.cheapest(open, weights);
    const without = (place: number) => best[place]?.minutes ?? NOTHING;
    const taken = this.withinLimits(this.countedSavings(without));
    const served = best.map((cheapest) => cheapest?.served);
    let minutes = best.reduce((sum, _, place) => sum + without(place), ready);
    for (const { saves, places } of taken) {
      for (const place of places) served[place] = this.counted[place]?.served;
      minutes -= saves;
    }
    if (served.every((by) => by !== undefined) && minutes < (this.best?.minutes ?? NOTHING) - 1e-9)
      this.best = { open: [...open], served, minutes };
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
