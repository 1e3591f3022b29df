import type { Machine } from '../model/shop/machine';
import { allocate, type Allocated } from '../plan/stops/allocate';
import { nextBest, type NextBest } from '../plan/stops/nextBest';
import type { CutSetup } from '../plan/cuts/planCuts';
import type { PlannedSetup } from '../plan/times/planTimes';

/** A means more on the machine, and what it would save over the batch, minutes. */
export interface OneMore {
  what: string;
  saves: number;
}

/** Set-ups as they were before their stops were chosen, on the machine as it is or as it would be. */
const cutsOf = (setups: readonly PlannedSetup[], change: (machine: Machine) => Machine): CutSetup[] =>
  setups.map(({ setup, operations, order, broken, overruled, start }) => {
    const machine = change(setup.run.shop.machine);
    const run = { ...setup.run, shop: { ...setup.run.shop, machine } };
    return { setup: { ...setup, run }, operations, cuts: operations, reasons: [], order, broken, overruled, start };
  });

/** What a machine may have one more of. */
const MORE: readonly [what: string, change: (machine: Machine) => Machine][] = [
  ['station', (machine) => ({ ...machine, stations: machine.stations + 1 })],
  ['preset', (machine) => ({ ...machine, presets: (machine.presets ?? 0) + 1 })],
  ['stop of the quill', (machine) => ({ ...machine, quillStops: (machine.quillStops ?? 0) + 1 })],
];

const asItIs = (setups: readonly PlannedSetup[]): Allocated => allocate(cutsOf(setups, (machine) => machine));

/** The next best means of each operation's stop, by its key, as all others stand. */
export function nextBestStops(setups: readonly PlannedSetup[]): ReadonlyMap<string, NextBest> {
  const allocated = asItIs(setups);
  return new Map(
    allocated.rooms.flatMap(({ ground }, setup) =>
      ground.demands.flatMap(({ cuts }, at) => {
        const next = nextBest(allocated, setup, at);
        return next ? cuts.map(({ key }): [string, NextBest] => [key, next]) : [];
      }),
    ),
  );
}

/** What one station, preset or stop of the quill more would save over the batch; what saves nothing is left out. */
export function oneMore(setups: readonly PlannedSetup[]): OneMore[] {
  const now = asItIs(setups).chosen.minutes;
  return MORE.map(([what, change]) => ({ what, saves: now - allocate(cutsOf(setups, change)).chosen.minutes }))
    .filter(({ saves }) => saves > 1e-6)
    .sort((a, b) => b.saves - a.saves);
}
