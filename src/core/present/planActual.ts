import { median } from '../lathe/learned';
import type { Progress } from '../lathe/progress';
import type { ObservedStep } from '../lathe/observed';
import { stepsOf } from '../lathe/steps';
import type { Plan } from '../plan/plan';

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

/** A chart for every size that was read as a figure. */
export function sizeCharts({ setups }: Plan, { sizes }: Progress): SizeChart[] {
  const checks = setups.flatMap(({ operations }) => operations.flatMap(({ checks: of }) => of));
  return [...sizes].flatMap(([what, readings]) => {
    const check = checks.find((one) => one.what === what);
    if (!check?.size) return [];
    const { aim, nominal, lower, upper } = check.size;
    return [
      {
        what,
        target: aim,
        lower: nominal + lower,
        upper: nominal + upper,
        every: check.every,
        readings: [...readings],
      },
    ];
  });
}
