import { isStop } from '../../model/overrule';
import type { CutSetup } from '../cuts/planCuts';
import { isOpByOp } from '../../model/plan/setup';
import { chainsOf } from './chains';
import { chooseStops, type Chain, type Chosen } from './choose/choose';
import type { Facility, OwnServe, StopProblem } from './choose/problem';
import { demandsOf, overBatch, type Demand, type Ground } from './demand';
import type { ByItself, MadeReady } from './devices/device';
import { stopDevices, type StopMeans } from './devices';
import { isAsWished, wishAt, type StopWish } from './wished';

/** Which means of which device something of the problem is. */
export interface Offer {
  means: StopMeans;
  by: ByItself;
}

/** A set-up's places and everything that may serve them; the offers stand as the problem has them. */
export interface StopRoom {
  ground: Ground;
  problem: StopProblem;
  own: Offer[][];
  shared: { means: StopMeans; made: MadeReady }[];
  /** What was decided of its places. */
  wishes: Wished[];
}

const groundOf = ({ setup }: CutSetup, demands: readonly Demand[]): Ground => {
  const { shop, quantity } = setup.run;
  const { machine, handMinutes: hand, stops, setupMinutes, gauges, cutting, riskPrices } = shop;
  return {
    demands,
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

/**
 * The places of a set-up with all that may serve them, as it was decided where something is so.
 * @param piece minutes that a piece has taken up
 * @param without overrules that are not followed
 */
function roomOf(cut: CutSetup, piece: number, without: ReadonlySet<number>, demanded: Demanded): StopRoom {
  const demands = demanded(cut);
  const ground = groundOf(cut, demands);
  const minutesOf = (demand: Demand, { use, ready }: ByItself) =>
    overBatch(demand, use, ground) + (ready?.minutes ?? 0);
  const offers = demands.map((demand) =>
    stopDevices.flatMap(({ axis, means, byItself }): Offer[] => {
      const by = axis === demand.axis ? byItself?.(demand, ground) : undefined;
      return by ? [{ means, by }] : [];
    }),
  );
  const shared = stopDevices.flatMap(({ means, madeReady }) =>
    (madeReady?.(ground) ?? []).map((made) => ({ means, made })),
  );
  const wishes = demands.map((demand, place): Wished | undefined => {
    const wish = wishAt(demand, cut.setup.run.overrules, without);
    if (!wish) return undefined;
    const isServed =
      (offers[place] ?? []).some(({ means, by }) => isAsWished(wish, means, by.with)) ||
      shared.some(({ means, made }) => {
        const by = wish.stop.means === means ? made.serves(demand) : undefined;
        return by && isAsWished(wish, means, by.with);
      });
    return { ...wish, place, isServed };
  });
  /** What is wished of a place, where that can be. */
  const follows = (place: number) => (wishes[place]?.isServed ? wishes[place] : undefined);
  const own = offers.map((all, place) => all.filter(({ means, by }) => isAsWished(follows(place), means, by.with)));
  const ownOf = (demand: Demand, { means, by }: Offer): OwnServe => ({
    minutes: minutesOf(demand, by) + (by.measured ? ground.risk.measuredOnly * ground.pieces : 0),
    spread: by.spread,
    ...(by.measured ? { measured: true } : {}),
    ...(stopDevices.some((device) => device.means === means && device.places && device.byItself && !device.madeReady)
      ? { counted: means }
      : {}),
  });
  const facilityOf = ({ means, made }: StopRoom['shared'][number]): Facility => ({
    kind: means,
    setting: made.setting,
    hard: made.hard,
    ready: made.ready.minutes,
    serves: demands.map((demand, place) => {
      const by = made.serves(demand);
      return by && isAsWished(follows(place), means, by.with)
        ? { minutes: minutesOf(demand, by), spread: by.spread }
        : undefined;
    }),
  });
  const limits = Object.fromEntries(
    stopDevices.flatMap(({ means, places }) => (places ? [[means, places(ground.machine)]] : [])),
  );
  const places = demands.map((demand, at) => ({
    setting: demand.setting,
    own: (own[at] ?? []).map((offer) => ownOf(demand, offer)),
    deepest: demand.deepest,
    spoilsFrom: demand.spoilsFrom,
    spoilMinutes: spoilMinutes(demand, piece, ground),
  }));
  return {
    ground,
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

/** By what every place of a run is come to, some overrules left aside; undefined where no length would hold so. */
function allocated(
  setups: readonly CutSetup[],
  without: ReadonlySet<number>,
  demanded: Demanded,
): Allocated | undefined {
  const piece = setups.reduce((all, { cuts }) => all + cuts.reduce((sum, { cutting }) => sum + cutting.value, 0), 0);
  const rooms = setups.map((cut) => roomOf(cut, piece, without, demanded));
  const chains = chainsOf(
    setups,
    rooms.map(({ ground }) => ground.demands),
  );
  const chosen = chooseStops(
    rooms.map(({ problem }) => problem),
    chains,
  );
  return chosen && { rooms, chosen, chains, without };
}

/**
 * By what every place of a run is come to, at the least minutes over the batch (trade: Stops). What was decided is followed where
 * every length still holds; else those that do not go together with what was decided before them are left aside.
 * @param demanded places as the order has them, or as another might
 */
export function allocate(setups: readonly CutSetup[], demanded: Demanded = demandsOf): Allocated {
  const found = allocated(setups, new Set(), demanded);
  if (found) return found;
  const decided = (setups[0]?.setup.run.overrules ?? []).flatMap((overrule, index) =>
    isStop(overrule) ? [index] : [],
  );
  const without = new Set(decided);
  let best = allocated(setups, without, demanded);
  for (const index of decided) {
    const next = allocated(setups, new Set([...without].filter((other) => other !== index)), demanded);
    if (!next) continue;
    without.delete(index);
    best = next;
  }
  if (!best) throw new Error('nothing stops a slide');
  return best;
}
