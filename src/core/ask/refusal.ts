import { setPath } from '../model/setPath';
import type { Problem } from '../model/result';
import type { Shop } from '../model/shop/shop';
import { planFile } from '../plan/plan';
import { routesTried } from '../plan/search';
import { saySkeleton } from '../plan/skeleton';
import { readRun } from '../read/readRun';
import type { RunFile } from '../read/runFile';
import { remedyKinds } from './remedies';
import type { Change } from './remedies/remedy';

/** A route that was tried, and what stopped it. */
export interface TriedRoute {
  route: string;
  because: string;
}

/** A change that works, and what a piece then takes. */
export interface Remedy extends Change {
  pieceMinutes: number;
}

/** Why there is no plan: what is in its way, which routes were tried, and what would do. */
export interface Refusal {
  problems: Problem[];
  tried: TriedRoute[];
  remedies: Remedy[];
}

/** How many changes are offered, and how many are tried for them. */
const OFFERED = 3;
const LOOKED_AT = 40;

/** Tries changes of a run one after the other until enough of them work; a step for each. */
function* remediesOf(file: RunFile, shop: Shop, problems: readonly Problem[]): Generator<void, Remedy[]> {
  const found: Remedy[] = [];
  for (const change of remedyKinds.flatMap((kind) => kind(file, shop, problems)).slice(0, LOOKED_AT)) {
    if (found.length >= OFFERED) break;
    yield;
    const changed = setPath(file, change.path, change.value);
    const plan = changed.ok ? planFile(changed.value, shop, 'wanted') : undefined;
    if (plan?.ok && plan.value.proof.passed) found.push({ ...change, pieceMinutes: plan.value.times.piece.value });
  }
  return found;
}

/**
 * Why a run has no plan, and what would do (trade: Safe holds): every remedy has been planned through before it is offered.
 * A step for each change that is tried.
 */
export function* refusing(file: RunFile, shop: Shop, problems: readonly Problem[]): Generator<void, Refusal> {
  const run = readRun(file, shop);
  // What does not read is mended where it stands.
  if (!run.ok) return { problems: [...problems], tried: [], remedies: [] };
  const tried = routesTried(run.value).map(({ skeleton, problem }) => ({
    route: saySkeleton(skeleton),
    because: problem?.message ?? 'it cannot be',
  }));
  return { problems: [...problems], tried, remedies: yield* remediesOf(file, shop, problems) };
}

/** All of it at once. */
export function refusalOf(file: RunFile, shop: Shop, problems: readonly Problem[]): Refusal {
  const steps = refusing(file, shop, problems);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
