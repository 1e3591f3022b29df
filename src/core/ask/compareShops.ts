import { batchBy } from '../plan/search';
import type { Skeleton } from '../plan/skeleton';
import { readAndTake } from '../plan/material';
import type { RunFile } from '../read/runFile';
import { planFile, type Plan } from '../plan/plan';
import type { Result } from '../model/result';
import type { Shop } from '../model/shop/shop';

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
 * What another shop does to a run; undefined where it is nothing.
 * @param from minutes over the batch as the shop is now; undefined where the run cannot be planned
 */
export function effectOn(
  { id, file }: { id: number; file: RunFile },
  from: number | undefined,
  after: Shop,
  routes: readonly Skeleton[] = [],
) {
  // The routes that were found before are enough for their minutes; only where they cannot be are others looked for.
  const run = routes.length > 0 ? readAndTake(file, after) : undefined;
  const again = run?.ok ? batchBy(run.value, routes) : undefined;
  const is = again === undefined ? planFile(file, after, 'wanted') : undefined;
  const to = again ?? (is && batchMinutes(is));
  if (from === to || (from !== undefined && to !== undefined && Math.abs(to - from) < SAME)) return undefined;
  const problem = is && !is.ok ? is.problems[0]?.message : undefined;
  const effect: ShopEffect = { run: id, number: file.part.number, name: file.part.name ?? '', before: from, after: to };
  return problem ? { ...effect, problem } : effect;
}

/** Those that change most first; one that cannot be planned any more before all. */
export const mostFirst = (effects: readonly ShopEffect[]): ShopEffect[] => {
  const much = ({ before, after }: ShopEffect) => Math.abs((after ?? 1e9) - (before ?? 0));
  return [...effects].sort((a, b) => much(b) - much(a));
};
