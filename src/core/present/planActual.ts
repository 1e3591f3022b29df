import { median } from '../lathe/learned';
import { sizeKey, type Progress } from '../lathe/progress';
import type { ObservedStep } from '../lathe/observed';
import { stepsOf } from '../lathe/steps';
import type { Plan } from '../plan/plan';
import type { PlannedCheck } from '../plan/times/planTimes';

/** Planned against actual for one step of a piece. */
export interface StepTook {
  key: string;
  setup: number;
  words: string;
  planned: number;
  /** The middle of what it took, and from how many pieces; nothing where it was not done yet. */
  took?: number;
  count: number;
}

/** What each step took beside what was planned of it, step by step. */
export function stepsTook(plan: Plan, observed: readonly ObservedStep[]): StepTook[] {
  return stepsOf(plan).flatMap((steps) =>
    steps.map(({ key, planned, operation }) => {
      const minutes = observed.filter(({ operation: of }) => of === key).map(({ minutes: took }) => took);
      return {
        key,
        setup: planned.setup.number,
        words: operation ? `${operation.number} ${operation.name}` : 'load and unload',
        planned: operation ? operation.hand.value + operation.cutting.value : planned.loading.value,
        ...(minutes.length > 0 ? { took: median(minutes) } : {}),
        count: minutes.length,
      };
    }),
  );
}

/** Sizes of a run by what was measured, with their limits, for a chart. */
export interface SizeChart {
  what: string;
  target: number;
  lower: number;
  upper: number;
  every: number;
  readings: { piece: number; size: number; correctedAfter: boolean }[];
}

/** The chart of a size that is checked with limits; nothing where none was read. @param operation key of the one that makes it */
export function sizeChart(
  operation: string,
  { what, size, every }: PlannedCheck,
  { sizes }: Pick<Progress, 'sizes'>,
): SizeChart | undefined {
  const readings = sizes.get(sizeKey(operation, what));
  if (!size || !readings) return undefined;
  const { aim, nominal, lower, upper } = size;
  return { what, target: aim, lower: nominal + lower, upper: nominal + upper, every, readings: [...readings] };
}

/** A chart for every size that was read as a figure, in the order in which they come to be, each under what makes it. */
export const sizeCharts = ({ setups }: Plan, progress: Progress): (SizeChart & { key: string })[] =>
  setups.flatMap(({ operations }) =>
    operations.flatMap(({ key, name, checks }) =>
      checks
        .filter(({ again }) => !again)
        .flatMap((check) => {
          const chart = sizeChart(key, check, progress);
          return chart ? [{ ...chart, key: sizeKey(key, check.what), what: `${check.what}, ${name}` }] : [];
        }),
    ),
  );
