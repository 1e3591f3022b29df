import { isStop } from '../../model/overrule';
import type { CutSetup } from '../cuts/planCuts';
import { isOpByOp } from '../../model/plan/setup';
import { SAME_STOP } from '../../model/tolerances';
import { chainsOf } from './chains';
import { chooseStops, type Chain, type Chosen, type PlaceRef } from './choose/choose';
import type { Facility, OwnServe, StopProblem } from './choose/problem';
import { demandsOf, isSamePlace, overBatch, type Demand, type Ground } from './demand';
import type { ByItself, MadeReady } from './devices/device';
import { stopDevices, type StopMeans } from './devices';
import { isAsWished, wishAt, type StopWish } from './wished';

/** Which means of which device something of the problem is. */
export interface Offer {
  means: StopMeans;
  by: ByItself;
}

/** A place of one of the runs that share a set of stops. */
export interface RunsPlace {
  /** Which of the runs, and by what its means are weighed. */
  run: number;
  ground: Ground;
  demand: Demand;
}

/**
 * The places of a set-up, or of the same set-up of several runs that are made one after the other, and everything that may serve
 * them; the offers stand as the problem has them.
 */
export interface StopRoom {
  at: RunsPlace[];
  problem: StopProblem;
  own: Offer[][];
  shared: { means: StopMeans; made: MadeReady }[];
  /** What was decided of its places. */
  wishes: Wished[];
}

const groundOf = ({ setup }: CutSetup, demands: readonly Demand[], decidedAt: readonly number[]): Ground => {
  const { shop, quantity } = setup.run;
  const { machine, handMinutes: hand, stops, setupMinutes, gauges, cutting, riskPrices } = shop;
  return {
    demands,
    decidedAt,
    machine,
    hand,
    stops,
    setStop: setupMinutes.setStop,
    pieces: quantity,
    once: isOpByOp(setup),
    gauges,
    stationRepeats: cutting.stopRepeats,
    risk: riskPrices,
  };
};

/** What a spoilt piece weighs at a place over the batch: its minutes, once in so many uses. */
const spoilMinutes = ({ visits }: Demand, piece: number, { risk, pieces, once }: Ground): number =>
  visits * (once ? 1 : pieces) * piece * risk.wrongStop;

/** The places of a set-up, with how often each is come to. */
export type Demanded = (cut: CutSetup) => Demand[];

/** What is wished of a place, and whether anything of the machine is so. */
export interface Wished extends StopWish {
  place: number;
  isServed: boolean;
}

/** A set-up of a run with the overrules of stops that are not followed, and the minutes that a piece has taken up. */
interface Work {
  run: number;
  cut: CutSetup;
  piece: number;
  without: ReadonlySet<number>;
}

/** What there are only so many of that serve a place each. */
const isCounted = (means: StopMeans): boolean =>
  stopDevices.some((device) => device.means === means && device.places && device.byItself && !device.madeReady);

/** @param one the first place that comes to the same figure: what is counted is one for both */
const ownOf = ({ demand, ground }: RunsPlace, { means, by }: Offer, one: number): OwnServe => {
  const uses = overBatch(demand, by.use, ground) + (by.measured ? ground.risk.measuredOnly * ground.pieces : 0);
  const ready = by.ready?.minutes ?? 0;
  return {
    minutes: isCounted(means) ? uses : uses + ready,
    spread: by.spread,
    ...(by.measured ? { measured: true } : {}),
    ...(isCounted(means) ? { counted: { kind: means, one, ready } } : {}),
  };
};

/** Where stations stand over the spacers that were decided, mm, beside the places themselves. */
const decidedIn = (demands: readonly Demand[], { setup }: CutSetup, without: ReadonlySet<number>): number[] =>
  demands.flatMap((demand) => {
    const { spacers = [] } = wishAt(demand, setup.run.overrules, without)?.stop ?? {};
    const at = spacers.reduce((sum, length) => sum + length, demand.setting);
    const isPlace = demands.some(({ axis, setting }) => axis === 'carriage' && Math.abs(setting - at) < SAME_STOP);
    return demand.axis === 'carriage' && !isPlace ? [at] : [];
  });

/** What is wished of a place, and whether anything of the machine is so. */
function wishedAt(
  { demand }: RunsPlace,
  place: number,
  { cut, without }: Work,
  offers: readonly Offer[],
  shared: StopRoom['shared'],
): Wished | undefined {
  const wish = wishAt(demand, cut.setup.run.overrules, without);
  if (!wish) return undefined;
  const isServed =
    offers.some(({ means, by }) => isAsWished(wish, means, by.with)) ||
    shared.some(({ means, made }) => {
      const by = wish.stop.means === means ? made.serves(demand) : undefined;
      return by && isAsWished(wish, means, by.with);
    });
  return { ...wish, place, isServed };
}

/** The places of what shares a set of stops with all that may serve them, as it was decided where something is so. */
function roomOf(works: readonly Work[], demanded: Demanded): StopRoom {
  const at = works.flatMap(({ run, cut, without }) => {
    const demands = demanded(cut);
    const ground = groundOf(cut, demands, decidedIn(demands, cut, without));
    return ground.demands.map((demand): RunsPlace => ({ run, ground, demand }));
  });
  const workAt = ({ run }: RunsPlace) => works.find((work) => work.run === run) as Work;
  const offers = at.map(({ demand, ground }) =>
    stopDevices.flatMap(({ axis, means, byItself }): Offer[] => {
      const by = axis === demand.axis ? byItself?.(demand, ground) : undefined;
      return by ? [{ means, by }] : [];
    }),
  );
  // What is made ready stands for the places of all of them.
  const decidedAt = at.flatMap(({ ground, demand }) => (demand === ground.demands[0] ? ground.decidedAt : []));
  const ground = at[0] && { ...at[0].ground, demands: at.map(({ demand }) => demand), decidedAt };
  const shared = stopDevices.flatMap(({ means, madeReady }) =>
    ((ground && madeReady?.(ground)) ?? []).map((made) => ({ means, made })),
  );
  const wishes = at.map((place, index) => wishedAt(place, index, workAt(place), offers[index] ?? [], shared));
  /** What is wished of a place, where that can be. */
  const follows = (place: number) => (wishes[place]?.isServed ? wishes[place] : undefined);
  const own = offers.map((all, place) => all.filter(({ means, by }) => isAsWished(follows(place), means, by.with)));
  const facilityOf = ({ means, made }: StopRoom['shared'][number]): Facility => ({
    kind: means,
    setting: made.setting,
    hard: made.hard,
    ready: made.ready.minutes,
    serves: at.map((place, index) => {
      const by = made.serves(place.demand);
      return by && isAsWished(follows(index), means, by.with)
        ? { minutes: overBatch(place.demand, by.use, place.ground) + (by.ready?.minutes ?? 0), spread: by.spread }
        : undefined;
    }),
  });
  const limits = Object.fromEntries(
    stopDevices.flatMap(({ means, places }) => (places && ground ? [[means, places(ground.machine)]] : [])),
  );
  const places = at.map((place, index) => ({
    setting: place.demand.setting,
    own: (own[index] ?? []).map((offer) =>
      ownOf(
        place,
        offer,
        at.findIndex((other) => isSamePlace(other.demand, place.demand)),
      ),
    ),
    deepest: place.demand.deepest,
    spoilsFrom: place.demand.spoilsFrom,
    spoilMinutes: spoilMinutes(place.demand, workAt(place).piece, place.ground),
  }));
  return {
    at,
    problem: { places, facilities: shared.map(facilityOf), limits },
    own,
    shared,
    wishes: wishes.filter((wish) => wish !== undefined),
  };
}

/** The stops of a run as they were chosen, and of what they were. */
export interface Allocated {
  rooms: StopRoom[];
  chosen: Chosen;
  chains: Chain[];
  /** Overrules of stops that are not followed, since some length would not hold. */
  without: ReadonlySet<number>;
}

/** Minutes that a piece has taken up when its last stop is come to, at most. */
export const pieceOf = (setups: readonly CutSetup[]): number =>
  setups.reduce((all, { cuts }) => all + cuts.reduce((sum, { cutting }) => sum + cutting.value, 0), 0);

/**
 * By what every place of runs is come to that are made one after the other on one machine: each of their set-ups has one set of
 * stops for all of them. Some overrules are left aside, each run's own.
 * @returns undefined where no length would hold so
 */
export function allocateTogether(
  runs: readonly (readonly CutSetup[])[],
  withouts: readonly ReadonlySet<number>[] = runs.map(() => new Set()),
  demanded: Demanded = demandsOf,
): Allocated | undefined {
  const deepest = Math.max(0, ...runs.map((setups) => setups.length));
  const rooms = Array.from({ length: deepest }, (_, index) =>
    roomOf(
      runs.flatMap((setups, run) => {
        const cut = setups[index];
        return cut ? [{ run, cut, piece: pieceOf(setups), without: withouts[run] as ReadonlySet<number> }] : [];
      }),
      demanded,
    ),
  );
  const chains = runs.flatMap((setups, run) => {
    const firsts = rooms.map(({ at }) => at.findIndex((place) => place.run === run));
    const inRoom = ({ setup, place }: PlaceRef) => ({ setup, place: (firsts[setup] as number) + place });
    const demands = setups.map((_, setup) =>
      (rooms[setup]?.at ?? []).flatMap((place) => (place.run === run ? [place.demand] : [])),
    );
    return chainsOf(setups, demands).map((chain) => ({
      ...chain,
      members: chain.members.map(inRoom),
      fixer: inRoom(chain.fixer),
    }));
  });
  const chosen = chooseStops(
    rooms.map(({ problem }) => problem),
    chains,
  );
  return chosen && { rooms, chosen, chains, without: withouts[0] ?? new Set() };
}

/**
 * By what every place of a run is come to, at the least minutes over the batch (trade: Stops). What was decided is followed where
 * every length still holds; else those that do not go together with what was decided before them are left aside.
 * @param demanded places as the order has them, or as another might
 */
export function allocate(setups: readonly CutSetup[], demanded: Demanded = demandsOf): Allocated {
  const allocated = (without: ReadonlySet<number>) => allocateTogether([setups], [without], demanded);
  const found = allocated(new Set());
  if (found) return found;
  const decided = (setups[0]?.setup.run.overrules ?? []).flatMap((overrule, index) =>
    isStop(overrule) ? [index] : [],
  );
  const without = new Set(decided);
  let best = allocated(without);
  for (const index of decided) {
    const next = allocated(new Set([...without].filter((other) => other !== index)));
    if (!next) continue;
    without.delete(index);
    best = next;
  }
  if (!best) throw new Error('nothing stops a slide');
  return best;
}
