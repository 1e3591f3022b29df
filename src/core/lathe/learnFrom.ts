import type { Plan } from '../plan/plan';
import {
  learnedFrom,
  learnedMinutes,
  tellApart,
  varianceOf,
  type Learned,
  type LearnedMinutes,
  type RunSays,
} from './learned';
import type { EdgeWears } from './edgeWear';
import type { ObservedStep } from './observed';
import { rowsOf, stepsOf } from './steps';

/** Groups of minutes that are off together, in words. */
export const GROUP_WORDS: Record<string, string> = {
  change: 'changes of tool, speed and stop',
  hand: 'by hand at the work',
  measure: 'measuring',
  clear: 'clearing swarf',
  load: 'load and unload',
};

/** What was learned of one group, beside what it takes in the plan. */
export interface LearnedGroup extends LearnedMinutes {
  group: string;
  words: string;
  planned: number;
  learned: Learned;
}

/** What a run cost in the end: good pieces, what one was reckoned at and what it really came to, and what it was sold for. */
export interface CostTaught {
  good: number;
  reckoned: number;
  really: number;
  soldAt?: number;
  /** The day on which it was made to the end, as 2026-12-24. */
  on: string;
}

/** What a run taught: on which machine it was made, what it says of each group of minutes and of its edges, and what it cost. */
export interface Taught {
  machine: string;
  says: Readonly<Record<string, RunSays>>;
  edges?: EdgeWears;
  /** Once all of it is made. */
  cost?: CostTaught;
}

/** A run that was learned from, as it is kept. */
export interface LearnedRun extends Taught {
  run: number;
  number: string;
}

/** So many runs on a machine speak for it by themselves; of fewer the whole shop is asked. */
const ENOUGH_OF_OWN = 3;

/** The runs that speak for a machine: its own where there are enough, else all of the shop. */
export function runsFor(
  machine: string,
  learned: readonly LearnedRun[],
): { runs: readonly LearnedRun[]; own: boolean } {
  const own = learned.filter((run) => run.machine === machine);
  return own.length >= ENOUGH_OF_OWN ? { runs: own, own: true } : { runs: learned, own: false };
}

/** What the steps of one run say of each group. */
export function saidBy(plan: Plan, observed: readonly ObservedStep[]): Record<string, RunSays> {
  const half = varianceOf(plan.run.shop.spreads.hand) / 2;
  const priors = Object.fromEntries(Object.keys(GROUP_WORDS).map((group) => [group, half]));
  return Object.fromEntries(tellApart(rowsOf(plan, observed), priors));
}

/** Planned minutes of a piece by group. */
function plannedBy(plan: Plan): Map<string, number> {
  const planned = new Map<string, number>();
  const add = (group: string, minutes: number) => planned.set(group, (planned.get(group) ?? 0) + minutes);
  for (const { planned: setup, operation } of stepsOf(plan).flat())
    if (operation) for (const [group, minutes] of Object.entries(operation.handBy)) add(group, minutes);
    else add('load', setup.loading.value);
  return planned;
}

/** What runs say together of the minutes of a piece, group by group. @param said what each run says by itself */
export function learnedGroups(plan: Plan, said: readonly Readonly<Record<string, RunSays>>[]): LearnedGroup[] {
  const { shop, quantity } = plan.run;
  return [...plannedBy(plan)]
    .filter(([, planned]) => planned > 0)
    .map(([group, planned]) => {
      const learned = learnedFrom(
        said.flatMap((run) => run[group] ?? []),
        shop.spreads.hand,
      );
      return {
        group,
        words: GROUP_WORDS[group] ?? group,
        planned,
        learned,
        ...learnedMinutes(planned, quantity, learned),
      };
    });
}

/**
 * A piece and the batch as they are learned: what power feed takes is known, the rest by its groups; their ranges added as if each
 * were off by itself.
 */
export function learnedPiece(plan: Plan, groups: readonly LearnedGroup[]): LearnedMinutes & { planned: number } {
  const { cutting, hand } = plan.times;
  const allowance = 1 + plan.run.shop.timeAllowance;
  const sum = (of: (group: LearnedGroup) => number) => groups.reduce((total, group) => total + of(group), 0);
  const expected = cutting.value + sum((group) => group.expected);
  const below = Math.sqrt(sum(({ expected: middle, p10 }) => (middle - p10) ** 2));
  const above = Math.sqrt(sum(({ expected: middle, p90 }) => (p90 - middle) ** 2));
  return {
    planned: (cutting.value + hand.value) * allowance,
    expected: expected * allowance,
    p10: (expected - below) * allowance,
    p90: (expected + above) * allowance,
  };
}
