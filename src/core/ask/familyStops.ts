import { isStop, type StopOverrule } from '../model/overrule';
import { allocate, allocateTogether, type StopRoom } from '../plan/stops/allocate';
import type { Allocation } from '../plan/stops/choose/problem';
import { pinsOf, type Pin } from '../plan/stops/planStops';
import type { Plan } from '../plan/plan';
import { planFile } from '../plan/plan';
import type { Problem } from '../model/result';
import type { Shop } from '../model/shop/shop';
import type { RunFile } from '../read/runFile';
import { cutsOf } from './stopsAsked';

/** A set-up of a family: what is made ready for all of it, and how each run stops there. */
export interface FamilySetup {
  number: number;
  readied: { name: string; minutes: number }[];
  /** By the run's place in the family; none where it has no such set-up. */
  pins: (Pin[] | undefined)[];
}

/** Variants of a part that are made one after the other with one set of stops (trade: Stops). */
export interface FamilyStops {
  /** Minutes for stops over all batches, with what risks weigh: each run by itself, and with one set for all. */
  apart: number;
  together: number;
  /** Where it was not proven the least: so much below it could lie, minutes. */
  gap: number;
  setups: FamilySetup[];
  /** By run: what would make its own plan stop so. */
  overrules: StopOverrule[][];
}

/** Two set-ups stand for one another where they are on one machine and work from one end. */
const isAlike = (one: Plan, other: Plan): boolean =>
  one.run.shop.machine.id === other.run.shop.machine.id &&
  one.setups.every(({ setup }, index) => !other.setups[index] || other.setups[index].setup.end === setup.end);

type Sameness = Pick<Pin, 'means' | 'spacers' | 'feeler'>;
const isSame = (one: Sameness, other: Sameness | undefined): boolean =>
  one.means === other?.means &&
  one.feeler === other.feeler &&
  JSON.stringify(one.spacers ?? []) === JSON.stringify(other.spacers ?? []);

/** What a run decides so that it stops by what the family has: all of it, since what is left open would settle anew beside it. */
function overrulesOf(plan: Plan, setups: readonly FamilySetup[], run: number): StopOverrule[] {
  const each = plan.setups.flatMap(({ pins: own }, index) =>
    (setups[index]?.pins[run] ?? []).flatMap((pin) => {
      const [operation] = pin.operations;
      return operation === undefined
        ? []
        : [{ pin, operation, now: own.find(({ operations }) => operations.includes(operation)) }];
    }),
  );
  if (each.every(({ pin, now }) => isSame(pin, now))) return [];
  return each.map(({ operation, pin: { means, spacers = [], feeler } }) => ({
    operation,
    stop: { means, ...(means === 'station' && feeler === undefined ? { spacers } : {}) },
  }));
}

/**
 * One set of stops for runs that are made one after the other, each set-up for all of them before the next: at the least minutes over
 * all their batches. What any of them decided of its stops is left aside.
 * @returns the problem where two of them are not made alike
 */
export function familyStops(plans: readonly Plan[]): FamilyStops | Problem {
  const [first] = plans;
  const other = plans.find((plan) => first && !isAlike(first, plan));
  if (!first || plans.length < 2) return { path: 'family', message: 'wants two runs at least' };
  if (other)
    return {
      path: 'family',
      message: `${other.run.part.number} is made on another machine or from the other end first than ${first.run.part.number}: they share no stops`,
    };
  const runs = plans.map(({ setups }) =>
    cutsOf(
      setups.map((planned) => {
        const { run } = planned.setup;
        const overrules = run.overrules.filter((overrule) => !isStop(overrule));
        return { ...planned, setup: { ...planned.setup, run: { ...run, overrules } } };
      }),
      (machine) => machine,
    ),
  );
  const together = allocateTogether(runs);
  if (!together) return { path: 'family', message: 'no set of stops keeps every length of all of them' };
  const { rooms, chosen } = together;
  const setups = rooms.map((room: StopRoom, index): FamilySetup => {
    const each = runs.map((_, run) => pinsOf(room, chosen.allocations[index] as Allocation, run));
    return {
      number: index + 1,
      readied: each[0]?.readied ?? [],
      pins: each.map(({ pins }, run) => (runs[run]?.[index] ? pins : undefined)),
    };
  });
  return {
    apart: runs.reduce((sum, cuts) => sum + allocate(cuts).chosen.minutes, 0),
    together: chosen.minutes,
    gap: chosen.gap,
    setups,
    overrules: plans.map((plan, run) => overrulesOf(plan, setups, run)),
  };
}

/** The same of run files, each planned first; the problem of the one that cannot be. */
export function familyOf(files: readonly RunFile[], shop: Shop): FamilyStops | Problem {
  const plans: Plan[] = [];
  for (const file of files) {
    const plan = planFile(file, shop, 'wanted');
    if (!plan.ok) {
      const [problem] = plan.problems;
      return { path: file.part.number, message: `cannot be planned: ${problem?.path ?? ''} ${problem?.message ?? ''}` };
    }
    plans.push(plan.value);
  }
  return familyStops(plans);
}
