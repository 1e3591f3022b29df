import { isOpByOp } from '../model/plan/setup';
import type { Plan } from '../plan/plan';
import type { PlannedCheck, PlannedSetup, TimedOperation } from '../plan/times/planTimes';
import type { Measured } from './nextCut';
import type { RunShape } from './progress';
import type { CutNow } from './signs';
import type { Row } from './learned';
import type { ObservedStep } from './observed';

/** One step at the lathe: the piece is put in, or an operation is done. */
export interface LatheStep {
  key: string;
  planned: PlannedSetup;
  /** Without one the piece is put in and taken out. */
  operation?: TimedOperation;
}

const loadKey = ({ setup }: PlannedSetup): string => `load:${setup.number}`;

/** The steps of one piece, set-up by set-up. */
export const stepsOf = ({ setups }: Pick<Plan, 'setups'>): LatheStep[][] =>
  setups.map((planned) => [
    { key: loadKey(planned), planned },
    ...planned.operations.map((operation) => ({ key: operation.key, planned, operation })),
  ]);

/** A run as its progress is counted by. */
export const shapeOf = (plan: Plan): RunShape => ({
  setups: stepsOf(plan).map((steps) => ({
    steps: steps.map(({ key }) => key),
    ...(steps[0] && isOpByOp(steps[0].planned.setup) ? { stepByStep: true } : {}),
  })),
  quantity: plan.run.quantity,
});

/** The operation that makes what is looked at: of another look the one before, which measured it first. */
export function madeBy({ operations }: PlannedSetup, operation: TimedOperation, check: PlannedCheck): string {
  if (!check.again) return operation.key;
  const before = operations.slice(0, operations.indexOf(operation));
  const first = before.findLast(({ checks }) => checks.some(({ what, again }) => what === check.what && !again));
  return first?.key ?? operation.key;
}

/** Kinds that make a length less: every other cut makes it more, as it goes further in. */
const SHORTENS: readonly string[] = ['face', 'part-off'];

/**
 * What of a size is known before it is read: limits, gauge, and how its edge may cut. Nothing where a gauge only says whether it goes.
 */
export function measuredFor(
  { setup }: PlannedSetup,
  operation: TimedOperation,
  { size, gauge, measures }: PlannedCheck,
): Omit<Measured, 'readings'> | undefined {
  if (!size) return undefined;
  const depths = operation.passes.map(({ depth }) => depth).filter((depth) => depth > 0);
  const { thinnest } = setup.run.shop.edges[operation.tool.edge];
  const isLength = measures === 'length';
  return {
    limits: { target: size.aim, lower: size.nominal + size.lower, upper: size.nominal + size.upper },
    grows: measures === 'inside' || (isLength && !SHORTENS.includes(operation.kind)),
    perSide: !isLength,
    // What no gauge of the list measures is read by one that is as coarse as any.
    gaugeRepeats: gauge?.repeats ?? Math.max(...setup.run.shop.gauges.map(({ repeats }) => repeats)),
    thinnest,
    deepest: Math.max(thinnest, ...depths),
  };
}

/** So many times its diameter the work stands out, or is free of what bears it. */
const reachOf = ({ setup }: PlannedSetup, { diameter, to }: TimedOperation): number =>
  (setup.holding.from - Math.min(to, 0)) / Math.max(1, diameter ?? setup.holding.diameter);

/** What of a cut is known when it goes badly, at this machine. */
export function cutNow(planned: PlannedSetup, operation: TimedOperation): CutNow {
  const { machine } = planned.setup.run.shop;
  const speed = operation.speed.value;
  const slower = machine.speeds.filter((other) => other < speed - 0.5).at(-1);
  const faster = machine.speeds.find((other) => other > speed + 0.5);
  const { diameter = 0, reach = 0 } = operation.tool;
  return {
    kind: operation.kind,
    speed,
    feed: operation.feed.value,
    depth: Math.max(0, ...operation.passes.map(({ depth }) => depth)),
    edge: operation.tool.edge,
    workReach: reachOf(planned, operation),
    toolReach: diameter > 0 ? reach / diameter : 1,
    isBorne: planned.setup.supported || planned.setup.rest !== undefined,
    fluid: operation.fluid !== undefined,
    ...(slower === undefined ? {} : { slower }),
    ...(faster === undefined ? {} : { faster }),
  };
}

/** First-off and the piece after it are apart: they are looked at, and the hand is cold. */
const WARM_UP = 2;

/** What the steps of a run took, beside what was planned of each; what power feed takes is known, and taken off. */
export function rowsOf(plan: Plan, observed: readonly ObservedStep[]): Row[] {
  const { pauseOver } = plan.run.shop.lathe;
  return stepsOf(plan)
    .flat()
    .map(({ key, planned, operation }) => {
      const cutting = operation?.cutting.value ?? 0;
      const groups = operation ? operation.handBy : { load: planned.loading.value };
      const hand = Object.values(groups).reduce((total, minutes) => total + minutes, 0);
      return {
        planned: groups,
        observed: observed
          .filter(({ operation: of, piece }) => of === key && piece > WARM_UP)
          .filter(({ minutes }) => minutes <= pauseOver * (cutting + hand))
          .map(({ minutes }) => minutes - cutting)
          .filter((minutes) => minutes > 0),
      };
    })
    .filter(({ planned }) => Object.values(planned).some((minutes) => minutes > 0));
}
