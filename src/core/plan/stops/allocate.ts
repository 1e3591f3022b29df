import type { CutSetup } from '../cuts/planCuts';
import { isOpByOp } from '../../model/plan/setup';
import { chainsOf } from './chains';
import { chooseStops, type Chain, type Chosen } from './choose/choose';
import type { Facility, OwnServe, StopProblem } from './choose/problem';
import { demandsOf, overBatch, type Demand, type Ground } from './demand';
import type { ByItself, MadeReady } from './devices/device';
import { stopDevices, type StopMeans } from './devices';

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

/** The places of a set-up with all that may serve them. @param piece minutes that a piece has taken up */
function roomOf(cut: CutSetup, piece: number): StopRoom {
  const demands = demandsOf(cut);
  const ground = groundOf(cut, demands);
  const minutesOf = (demand: Demand, { use, ready }: ByItself) =>
    overBatch(demand, use, ground) + (ready?.minutes ?? 0);
  const own = demands.map((demand) =>
    stopDevices.flatMap(({ axis, means, byItself }): Offer[] => {
      const by = axis === demand.axis ? byItself?.(demand, ground) : undefined;
      return by ? [{ means, by }] : [];
    }),
  );
  const shared = stopDevices.flatMap(({ means, madeReady }) =>
    (madeReady?.(ground) ?? []).map((made) => ({ means, made })),
  );
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
    serves: demands.map((demand) => {
      const by = made.serves(demand);
      return by && { minutes: minutesOf(demand, by), spread: by.spread };
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
  return { ground, problem: { places, facilities: shared.map(facilityOf), limits }, own, shared };
}

/** The stops of a run as they were chosen, and of what they were. */
export interface Allocated {
  rooms: StopRoom[];
  chosen: Chosen;
  chains: Chain[];
}

/** By what every place of a run is come to, at the least minutes over the batch (trade: Stops). */
export function allocate(setups: readonly CutSetup[]): Allocated {
  const piece = setups.reduce((all, { cuts }) => all + cuts.reduce((sum, { cutting }) => sum + cutting.value, 0), 0);
  const rooms = setups.map((cut) => roomOf(cut, piece));
  const chains = chainsOf(
    setups,
    rooms.map(({ ground }) => ground.demands),
  );
  const chosen = chooseStops(
    rooms.map(({ problem }) => problem),
    chains,
  );
  if (!chosen) throw new Error('nothing stops a slide');
  return { rooms, chosen, chains };
}
