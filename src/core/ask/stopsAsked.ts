import type { Shop } from '../model/shop/shop';
import { planFile } from '../plan/plan';
import type { Skeleton } from '../plan/skeleton';
import type { RunFile } from '../read/runFile';
import type { Machine } from '../model/shop/machine';
import { isStop } from '../model/overrule';
import { say } from '../model/words';
import { allocate, pieceOf, type Allocated } from '../plan/stops/allocate';
import { crossStopsSave } from '../plan/stops/crossStops';
import { demandsOf, type Axis } from '../plan/stops/demand';
import type { StopMeans } from '../plan/stops/devices';
import { nextBest, type NextBest } from '../plan/stops/nextBest';
import { pinOf } from '../plan/stops/planStops';
import type { CutSetup } from '../plan/cuts/planCuts';
import type { PlannedSetup } from '../plan/times/planTimes';

/** A means more on the machine, and what it would save over the batch, minutes. */
export interface OneMore {
  what: string;
  saves: number;
}

/** Set-ups as they were before their stops were chosen, on the machine as it is or as it would be. */
export const cutsOf = (setups: readonly PlannedSetup[], change: (machine: Machine) => Machine): CutSetup[] =>
  setups.map(({ setup, operations, order, broken, overruled, start }) => {
    const machine = change(setup.run.shop.machine);
    const run = { ...setup.run, shop: { ...setup.run.shop, machine } };
    return { setup: { ...setup, run }, operations, cuts: operations, reasons: [], order, broken, overruled, start };
  });

/** What a machine may have one more of. */
const MORE: readonly [what: string, change: (machine: Machine) => Machine][] = [
  ['station', (machine) => ({ ...machine, stations: machine.stations + 1 })],
  ['preset', (machine) => ({ ...machine, presets: (machine.presets ?? 0) + 1 })],
  ['stop of the cross-slide', (machine) => ({ ...machine, crossStops: (machine.crossStops ?? 0) + 1 })],
  ['stop of the quill', (machine) => ({ ...machine, quillStops: (machine.quillStops ?? 0) + 1 })],
];

const asItIs = (setups: readonly PlannedSetup[]): Allocated => allocate(cutsOf(setups, (machine) => machine));

/** The next best means of each operation's stop, by its key, as all others stand. */
export function nextBestStops(setups: readonly PlannedSetup[]): ReadonlyMap<string, NextBest> {
  const allocated = asItIs(setups);
  return new Map(
    allocated.rooms.flatMap((room, setup) =>
      room.at.flatMap(({ demand }, at) => {
        const next = nextBest(allocated, setup, at);
        return next ? demand.cuts.map(({ key }): [string, NextBest] => [key, next]) : [];
      }),
    ),
  );
}

/** Every means that could stop an operation, by its key, whatever else was decided; and which it is stopped by. */
export function meansOf(
  setups: readonly PlannedSetup[],
  key: string,
): { means: StopMeans; axis: Axis; planned: boolean }[] {
  const free = setups.map((planned) => {
    const { setup } = planned;
    const overrules = setup.run.overrules.filter((overrule) => !isStop(overrule));
    return { ...planned, setup: { ...setup, run: { ...setup.run, overrules } } };
  });
  const pin = setups.map((planned) => pinOf(planned, key)).find((found) => found !== undefined);
  for (const { at: places, own, shared } of asItIs(free).rooms) {
    const at = places.findIndex(({ demand }) => demand.cuts.some((cut) => cut.key === key));
    const demand = places[at]?.demand;
    if (!demand) continue;
    const others = shared.flatMap(({ means, made }) => (made.serves(demand) ? [means] : []));
    const all = new Set([...(own[at] ?? []).map(({ means }) => means), ...others]);
    return [...all].map((means) => ({ means, axis: demand.axis, planned: means === pin?.means }));
  }
  return [];
}

/** So many lengths of a spacer are tried: each is an allocation. */
const SPACERS_TRIED = 24;

/** By how much one stop of the carriage lies before another, mm: lengths that a spacer may have; those that come most often first. */
function gapsIn({ rooms }: Allocated): number[] {
  const many = new Map<number, number>();
  for (const { at } of rooms) {
    const onCarriage = at.filter(({ demand }) => demand.axis === 'carriage');
    for (const { demand: deep, ground } of onCarriage)
      for (const { demand: near } of onCarriage) {
        const gap = Number((deep.setting - near.setting).toFixed(3));
        if (gap > ground.stops.residue) many.set(gap, (many.get(gap) ?? 0) + 1);
      }
  }
  return [...many]
    .sort(([a, often], [b, other]) => other - often || a - b)
    .slice(0, SPACERS_TRIED)
    .map(([gap]) => gap);
}

/** What one station, preset, stop of the quill or spacer more would save over the batch; what saves nothing is left out. */
export function oneMore(setups: readonly PlannedSetup[]): OneMore[] {
  const now = asItIs(setups);
  const across = (cuts: readonly CutSetup[]) => cuts.reduce((sum, cut) => sum + crossStopsSave(cut, pieceOf(cuts)), 0);
  const acrossNow = across(cutsOf(setups, (machine) => machine));
  const savesBy = (change: (machine: Machine) => Machine) => {
    const cuts = cutsOf(setups, change);
    return now.chosen.minutes - allocate(cuts).chosen.minutes + across(cuts) - acrossNow;
  };
  const units = setups[0]?.setup.run.units ?? 'mm';
  const spacers = gapsIn(now).map((gap) => ({
    what: `spacer of ${say(gap, units)}`,
    saves: savesBy((machine) => ({ ...machine, spacers: [...(machine.spacers ?? []), gap] })),
  }));
  const [spacer] = spacers.sort((a, b) => b.saves - a.saves);
  return [...MORE.map(([what, change]) => ({ what, saves: savesBy(change) })), ...(spacer ? [spacer] : [])]
    .filter(({ saves }) => saves > 1e-6)
    .sort((a, b) => b.saves - a.saves);
}

/** Places as no order comes to them less often: once a piece, each. */
const comeToOnce = (cut: CutSetup) =>
  demandsOf(cut).map((demand) => ({ ...demand, visits: Math.min(1, demand.visits), anew: Math.min(1, demand.anew) }));

/**
 * The most that another order of the operations could save on stops over the batch, whatever means it had then, minutes: against
 * the stops of an order that comes to every place but once, which need not exist.
 */
export function orderSavesAtMost(setups: readonly PlannedSetup[]): number {
  const cuts = cutsOf(setups, (machine) => machine);
  const { minutes, gap } = allocate(cuts, comeToOnce).chosen;
  // What none comes under, where its own effort ended before the proof.
  return Math.max(0, allocate(cuts).chosen.minutes - (minutes - gap));
}

/** What is asked of the stops of a run: the next best of each by the keys of its operations, and what one more would save. */
export interface StopsAsked {
  next: Record<string, NextBest>;
  more: OneMore[];
  /** What another order could save on them at most, minutes over the batch. */
  order: number;
}

/** The same of a run as it is shown; nothing where it has no plan. @param shown the route to plan it by */
export function stopsAsked(file: RunFile, shop: Shop, shown?: Skeleton): StopsAsked | undefined {
  const plan = planFile(file, shop, 'wanted', shown ? { first: shown, until: 'sound' } : {});
  if (!plan.ok) return undefined;
  const { setups } = plan.value;
  return { next: Object.fromEntries(nextBestStops(setups)), more: oneMore(setups), order: orderSavesAtMost(setups) };
}
