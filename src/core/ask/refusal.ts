import { setPath } from '../model/setPath';
import type { Problem } from '../model/result';
import type { Shop } from '../model/shop/shop';
import { planFile } from '../plan/plan';
import { routesTried } from '../plan/search';
import { saySkeleton } from '../plan/skeleton';
import { checkShape } from '../read/problems';
import { readRun } from '../read/readRun';
import type { RunFile } from '../read/runFile';
import { runFileSchema } from '../read/schemas';
import { remediesOfPlanning, remediesOfReading } from './remedies';
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
const LOOKED_AT = 60;

/** Set-ups that are planned through for each of them, before it is said not to do. */
const ENOUGH = 16;

/** Tries changes of a run one after the other until enough of them work; a step for each. */
function* firstThatWork(changes: readonly Change[], file: RunFile, shop: Shop): Generator<void, Remedy[]> {
  const found: Remedy[] = [];
  for (const change of changes.slice(0, LOOKED_AT)) {
    if (found.length >= OFFERED) break;
    // Of several figures in one place the nearest that works.
    if (found.some(({ path }) => path === change.path)) continue;
    yield;
    const changed = setPath(file, change.path, change.value);
    if (!changed.ok) continue;
    const some = planFile(changed.value, shop, 'wanted', { until: 'sound', most: ENOUGH });
    if (!some.ok || !some.value.proof.passed) continue;
    // It says what it will be when it is settled.
    const plan = planFile(changed.value, shop, 'wanted');
    if (plan.ok) found.push({ ...change, pieceMinutes: plan.value.times.piece.value });
  }
  return found;
}

/**
 * Why a run has no plan, and what would do (trade: Safe holds): every remedy has been planned through before it is offered.
 * A step for each change that is tried. A file that is no run at all has none.
 */
export function* refusing(file: unknown, shop: Shop, problems: readonly Problem[]): Generator<void, Refusal> {
  const shaped = checkShape(runFileSchema, file);
  if (!shaped.ok) return { problems: [...problems], tried: [], remedies: [] };
  const run = readRun(shaped.value, shop);
  // What does not read has no routes.
  const tried = run.ok
    ? routesTried(run.value).map(({ skeleton, problem }) => ({
        route: saySkeleton(skeleton),
        because: problem?.message ?? 'it cannot be',
      }))
    : [];
  const kinds = run.ok ? remediesOfPlanning : remediesOfReading;
  const changes = kinds.flatMap((kind) => kind(shaped.value, shop, problems));
  return { problems: [...problems], tried, remedies: yield* firstThatWork(changes, shaped.value, shop) };
}

/** All of it at once. */
export function refusalOf(file: unknown, shop: Shop, problems: readonly Problem[]): Refusal {
  const steps = refusing(file, shop, problems);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
