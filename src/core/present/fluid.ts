import type { Fluid } from '../model/shop/material';
import type { PlannedSetup } from '../plan/times/planTimes';

/** Each in words, at an operation. */
export const FLUID_WORDS: Record<Fluid, string> = {
  oil: 'oil',
  'light oil': 'light oil',
  plenty: 'plenty of oil',
  air: 'air',
  dry: 'dry',
};

/** What is brought to the cuts of a set-up: `oil; plenty of oil at 30, 50`; nothing where none is known. */
export function sayFluids({ operations }: Pick<PlannedSetup, 'operations'>): string | undefined {
  const numbers = new Map<Fluid, number[]>();
  for (const { fluid, number } of operations) if (fluid) numbers.set(fluid, [...(numbers.get(fluid) ?? []), number]);
  // What most of them have goes for all of them.
  const [most, ...others] = [...numbers].toSorted(([, a], [, b]) => b.length - a.length);
  if (!most) return undefined;
  return [FLUID_WORDS[most[0]], ...others.map(([fluid, at]) => `${FLUID_WORDS[fluid]} at ${at.join(', ')}`)].join('; ');
}

/** What is brought to the cuts of a run at all, each once; nothing for what is cut dry. */
export const fluidNames = (setups: readonly Pick<PlannedSetup, 'operations'>[]): string[] => [
  ...new Set(
    setups.flatMap(({ operations }) =>
      operations.flatMap(({ fluid }) =>
        fluid === undefined || fluid === 'dry' ? [] : [FLUID_WORDS[fluid === 'plenty' ? 'oil' : fluid]],
      ),
    ),
  ),
];
