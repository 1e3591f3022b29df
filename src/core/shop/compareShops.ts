import type { RunFile } from '../formats/runFile';
import { planFile } from '../plan';
import type { Result } from '../result';
import type { Plan } from '../plan';
import type { Shop } from './shop';

/** What another shop does to a run: its minutes over the batch before and after, or why it cannot be planned. */
export interface ShopEffect {
  run: number;
  number: string;
  name: string;
  before: number | undefined;
  after: number | undefined;
  problem?: string;
}

/** Minutes over the batch of a plan, where there is one. */
export const batchMinutes = (plan: Result<Plan>): number | undefined =>
  plan.ok ? plan.value.times.batch.value : undefined;

/** Less than this is the same, minutes over the batch: arithmetic. */
const SAME = 0.005;

/**
 * The runs that another shop would change, the ones that change most first (handbook 12: told before it is set).
 * @param runs with their ids
 * @param before minutes over the batch of a run as the shop is now; undefined where it cannot be planned
 */
export function compareShops<R extends { id: number; file: RunFile }>(
  runs: readonly R[],
  before: (run: R) => number | undefined,
  after: Shop,
): ShopEffect[] {
  return runs
    .flatMap((run): ShopEffect[] => {
      const { id, file } = run;
      const is = planFile(file, after);
      const [from, to] = [before(run), batchMinutes(is)];
      if (from === to || (from !== undefined && to !== undefined && Math.abs(to - from) < SAME)) return [];
      const problem = is.ok ? undefined : is.problems[0]?.message;
      return [
        {
          run: id,
          number: file.part.number,
          name: file.part.name ?? '',
          before: from,
          after: to,
          ...(problem ? { problem } : {}),
        },
      ];
    })
    .sort((a, b) => Math.abs((b.after ?? 1e9) - (b.before ?? 0)) - Math.abs((a.after ?? 1e9) - (a.before ?? 0)));
}
