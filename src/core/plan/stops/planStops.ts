import { figure, sum, term, type Figure } from '../../model/figure';
import { isBetweenCentres, isOnBar } from '../../model/plan/setup';
import { centreDepth, centreDrillFor, endDiameter } from '../cutting/centres';
import type { CutOperation } from '../cuts/cutOperation';
import type { CutSetup } from '../cuts/planCuts';
import { isStop } from '../../model/overrule';
import type { TakenOverrule } from '../../model/plan/taken';
import { allocate, pieceOf, type StopRoom } from './allocate';
import { crossStopsOf, type CrossStop } from './crossStops';
import { cannotHold, takenWish } from './wished';
import { spoils, type Allocation, type Place } from './choose/problem';
import type { Axis, Use } from './demand';
import { deviceOf, type StopMeans } from './devices';
import type { ByItself, With } from './devices/device';

/** One place where something stops, shared by the operations that end there. */
export interface Pin extends With {
  /** A, B, C… from the free end. */
  letter: string;
  means: StopMeans;
  axis: Axis;
  /** Which of the places of its device: station 2. */
  place?: number;
  setting: number;
  /** Shown to one place more. */
  fine: boolean;
  /** Keys of the operations. */
  operations: string[];
  /** What each use of it takes. */
  use: Use;
  /** All that it may be off, mm. */
  spread: number;
  /** A wrong stop of those that are set would spoil the piece here: what that weighs, minutes a piece. */
  spoils?: number;
}

/** How far the work itself goes in or comes out. */
export interface WorkStop {
  means: 'bar-stop' | 'spindle-stop' | 'centre-depth';
  setting: Figure;
  /** It is drawn back once the work is held: something comes out behind that does not go through it. */
  drawnBack?: true;
}

/** Kinds in words. */
const WORK_STOPS: Record<WorkStop['means'], string> = {
  'bar-stop': 'bar stop',
  'spindle-stop': 'spindle stop',
  'centre-depth': 'centres, deep',
};

/** What the work is set against, in words. */
export const sayWorkStop = ({ means, drawnBack }: Pick<WorkStop, 'means' | 'drawnBack'>): string =>
  drawnBack ? `${WORK_STOPS[means]}, then drawn back,` : WORK_STOPS[means];

export interface StoppedSetup extends CutSetup {
  pins: Pin[];
  crossStops: CrossStop[];
  /** What is made ready for them, once, minutes each. */
  readied: { name: string; minutes: number }[];
  workStop: WorkStop;
}

/** A to Z, then AA, AB… */
const letterOf = (index: number): string =>
  `${index < 26 ? '' : letterOf(Math.floor(index / 26) - 1)}${String.fromCharCode(65 + (index % 26))}`;

/** A facility or a means of its own, as it serves one place of an allocation; places that share one are served by the same. */
function servedBy(
  { own, shared, at: places, problem }: StopRoom,
  { served }: Allocation,
  at: number,
): { means: StopMeans; by: ByItself; facility?: number; one: number } {
  const by = served[at];
  const demand = places[at]?.demand;
  if (by && 'facility' in by) {
    const { means, made } = shared[by.facility] as StopRoom['shared'][number];
    const serve = demand && made.serves(demand);
    if (serve) return { means, by: serve, facility: by.facility, one: by.facility };
  }
  const offer = by && 'own' in by ? own[at]?.[by.own] : undefined;
  if (!by || !('own' in by) || !offer) throw new Error('a place that nothing serves');
  return { ...offer, one: problem.places[at]?.own[by.own]?.counted?.one ?? at };
}

/**
 * Every place of a set-up with what it is come to by, and what is made ready for that.
 * @param run which of the runs that share it
 */
export function pinsOf(room: StopRoom, allocation: Allocation, run = 0): Pick<StoppedSetup, 'pins' | 'readied'> {
  const { problem, shared } = room;
  const found = room.at.map((place, at) => ({ ...place, at, ...servedBy(room, allocation, at) }));
  const used = [...new Set(found.flatMap(({ facility }) => (facility === undefined ? [] : [facility])))].sort(
    (a, b) => (shared[a]?.made.setting ?? 0) - (shared[b]?.made.setting ?? 0),
  );
  const deepest = Math.max(
    -Infinity,
    ...used.flatMap((index) => (shared[index]?.made.hard ? [shared[index].made.setting] : [])),
  );
  const numberOf = (means: StopMeans, facility: number | undefined, one: number): number | undefined => {
    if (!deviceOf(means).numbered) return undefined;
    const all =
      facility === undefined
        ? [...new Set(found.filter((other) => other.means === means).map((other) => other.one))]
        : used.filter((index) => shared[index]?.means === means);
    return all.indexOf(one) + 1;
  };
  const pins = found
    .filter((one) => one.run === run)
    .map(({ demand, ground, at, means, by, facility, one }): Omit<Pin, 'letter'> => {
      const place = numberOf(means, facility, one);
      const hard = facility !== undefined && shared[facility]?.made.hard === true;
      const weighs = hard ? spoils(problem.places[at] as Place, deepest) / ground.pieces : 0;
      return {
        means,
        axis: demand.axis,
        ...(place === undefined ? {} : { place }),
        setting: demand.setting,
        fine: demand.cuts.some(isFineStop),
        operations: demand.cuts.map(({ key }) => key),
        use: by.use,
        spread: by.spread,
        ...by.with,
        ...(weighs > 0 ? { spoils: weighs } : {}),
      };
    })
    .sort((a, b) => a.setting - b.setting)
    .map((pin, index) => ({ ...pin, letter: letterOf(index) }));
  const readied = [
    ...used.flatMap((index) => shared[index]?.made.ready ?? []),
    ...found.flatMap(({ by, means, facility, one }, index) => {
      // What a station takes stands above, and a spacer that is made for one of its places is that place's own.
      const isShared =
        facility === undefined &&
        found
          .slice(0, index)
          .some((other) => other.facility === undefined && other.means === means && other.one === one);
      return by.ready && !isShared ? [by.ready] : [];
    }),
  ];
  return { pins, readied };
}

/** Whether a drill or a bar comes out behind, in a hole that is wider than the hole in the spindle stop. */
const comesOutWide = ({ setup, cuts }: CutSetup): boolean =>
  cuts.some(
    ({ tool, removal, to, diameter = 0 }) =>
      (tool.mount === 'tailstock' || removal.bore !== undefined) &&
      to > setup.part.length + setup.behind &&
      diameter > setup.run.shop.bodies.stopBore - setup.run.shop.allowances.closest,
  );

function workStopOf(planned: CutSetup): WorkStop {
  const { setup } = planned;
  if (isOnBar(setup))
    return {
      means: 'bar-stop',
      setting: sum('bar stop, jaws to the end of the bar', 'mm', [
        term('s', 'stick-out', setup.stickOut.value, 'mm', 'computed'),
      ]),
    };
  if (isBetweenCentres(setup)) {
    const drill = centreDrillFor(setup.run.shop, endDiameter(setup.part));
    return {
      means: 'centre-depth',
      setting: sum('depth of both centre holes, by the quill stop', 'mm', [
        term('t', 'depth of the centre hole', drill ? centreDepth(drill) : 0, 'mm', 'tool'),
      ]),
    };
  }
  const { length } = setup.part;
  return {
    means: 'spindle-stop',
    ...(comesOutWide(planned) ? { drawnBack: true } : {}),
    setting: figure({
      name: 'how far the work goes in',
      unit: 'mm',
      value: length + setup.behind - setup.holding.from,
      formula: 'L + k − z',
      terms: [
        term('L', 'length of the part', length, 'mm', 'drawing'),
        term('k', 'facing allowance at the far end', setup.behind, 'mm', 'computed'),
        term('z', 'finished face to jaws', setup.holding.from, 'mm', 'computed'),
      ],
    }),
  };
}

/** Where every operation stops and by what, for the least minutes over the batch (trade: Stops). */
export function planStops(setups: CutSetup[]): StoppedSetup[] {
  const { rooms, chosen, without } = allocate(setups);
  return setups.map((setup, index) => {
    const room = rooms[index] as StopRoom;
    const { pins, readied } = pinsOf(room, chosen.allocations[index] as Allocation);
    const crossStops = crossStopsOf(setup, pieceOf(setups));
    const { setStop } = setup.setup.run.shop.setupMinutes;
    return {
      ...setup,
      pins,
      crossStops,
      readied: [...readied, ...crossStops.map(() => ({ name: 'stop of the cross-slide set', minutes: setStop }))],
      overruled: [...setup.overruled, ...takenWishes(setup, room, pins, without)],
      workStop: workStopOf(setup),
    };
  });
}

/** What became of the overrules that are about stops of a set-up. */
function takenWishes(
  { setup, cuts }: CutSetup,
  { wishes }: StopRoom,
  pins: Pin[],
  without: ReadonlySet<number>,
): TakenOverrule[] {
  const followed = wishes.map((wish) => {
    const pin = pins.find(({ operations }) => operations.includes(wish.operation));
    return takenWish(wish, wish.isServed, pin?.place);
  });
  const left = setup.run.overrules.flatMap((overrule, index) =>
    without.has(index) && isStop(overrule) && cuts.some(({ key }) => key === overrule.operation)
      ? [cannotHold(index, overrule)]
      : [],
  );
  return [...followed, ...left];
}

/** A length held this closely, mm, is set and shown to a micrometre. */
const FINE = 0.1;

/** Whether a setting wants one place more: the length it makes is held closely. */
const isFineStop = ({ checks }: Pick<CutOperation, 'checks'>): boolean =>
  checks.some(({ measures, size }) => measures === 'length' && size !== undefined && size.upper - size.lower <= FINE);

/** How deep the station of a place stands, what is laid in before it included. */
export const standsAt = ({ setting, spacers = [], feeler = 0 }: Pick<Pin, 'setting' | 'spacers' | 'feeler'>): number =>
  setting + feeler + spacers.reduce((sum, length) => sum + length, 0);

/** The pin an operation stops at. */
export const pinOf = (setup: Pick<StoppedSetup, 'pins'>, key: string): Pin | undefined =>
  setup.pins.find(({ operations }) => operations.includes(key));
