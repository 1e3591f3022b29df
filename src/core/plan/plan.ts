import { WAY_BEGINS, WAYS, type Way } from '../model/way';
import type { Stock } from '../model/plan/stock';
import { readRun } from '../read/readRun';
import { andThen, bad, good, type Problem, type Result } from '../model/result';
import { planRoute, prepare, type Route } from './route';
import type { Run } from '../model/run';
import type { Shop } from '../model/shop/shop';
import { sayMinutes } from '../model/units/show';
import { type Times } from './times/planTimes';
import { listEdges, type ListedEdge } from './operations/edgeList';
import { doubtsOf } from './doubts';
import type { Doubt } from './doubts/doubt';
import { workedLengths, type WorkedLengths } from './lengths/workedLengths';
import { plannedOverrules, toldOf, type PlannedOverrule } from './order/overrules';
import type { Reason } from '../model/words';

/** A way as it compares: with its figures, or why it cannot be. */
export interface WayOutcome {
  way: Way;
  stock?: Stock;
  times?: Times;
  problem?: Problem;
}

/** A whole plan. */
export interface Plan extends Route {
  run: Run;
  ways: WayOutcome[];
  chosenBecause: Reason;
  /** The drawing's lengths as they are worked: from which face, and how closely. */
  lengths: WorkedLengths;
  /** What was decided against the planner, and what that breaks and costs. */
  overrules: PlannedOverrule[];
  /** What the plan cannot promise: features without an operation, sizes and walls beyond the bench. */
  doubts: Doubt[];
  /** Edges that no chamfer of the drawing breaks, and what breaks them. */
  edges: ListedEdge[];
  warnings: string[];
}

/** The way that the house takes where it can be, by its school. */
const HOUSE_WAY: Record<string, Way> = { bar: 'from-bar', blanks: 'sawn-blanks' };

const outcomeOf = (way: Way, planned: Result<Route>): WayOutcome =>
  planned.ok
    ? { way, stock: planned.value.stock, times: planned.value.times }
    : { way, ...(planned.problems[0] ? { problem: planned.problems[0] } : {}) };

/** Why this way: named by the run, the only one that can be, or quicker over the batch. */
function because(run: Run, best: Route, other: WayOutcome | undefined): Reason {
  const rule = 'WAY';
  if (run.way !== 'choose') return { rule, because: `${WAY_BEGINS[best.way]}: the run says so.` };
  if (other?.problem)
    return {
      rule,
      because: `${WAY_BEGINS[best.way]}, because ${WAY_BEGINS[other.way].toLowerCase()} cannot be: ${other.problem.message}.`,
    };
  if (HOUSE_WAY[run.shop.houseRules.stock] === best.way)
    return { rule, because: `${WAY_BEGINS[best.way]}: house rule.` };
  const saved = (other?.times?.batch.value ?? 0) - best.times.batch.value;
  return { rule, because: `${WAY_BEGINS[best.way]} is quicker over the batch by ${sayMinutes(saved)}.` };
}

/** One way, planned through or why not. */
interface PlannedWay {
  way: Way;
  result: Result<Route>;
}

/** Why none of the ways can be: what stands in all of them once, the rest with the way it stands in. */
function refusalsOf(refused: readonly PlannedWay[]): Problem[] {
  const problemsIn = ({ result }: { result: Result<Route> }) => (result.ok ? [] : result.problems);
  const same = (a: Problem) => (b: Problem) => a.path === b.path && a.message === b.message;
  const told: Problem[] = [];
  for (const outcome of refused)
    for (const problem of problemsIn(outcome)) {
      const everywhere = refused.every((other) => problemsIn(other).some(same(problem)));
      const message = everywhere ? problem.message : `${WAY_BEGINS[outcome.way].toLowerCase()}: ${problem.message}`;
      if (!told.some(same({ ...problem, message }))) told.push({ ...problem, message });
    }
  return told;
}

const isWanted = (run: Run, way: Way): boolean => run.way === 'choose' || run.way === way;

/** Of the ways that were planned: the one that the run names, else the house's, else the quicker over the batch. */
function bestOf(run: Run, planned: readonly PlannedWay[]): Result<Route> {
  const wanted = planned.filter(({ way }) => isWanted(run, way));
  const usual = wanted.filter(({ way, result }) => result.ok && HOUSE_WAY[run.shop.houseRules.stock] === way);
  const possible = (usual.length > 0 ? usual : wanted).flatMap(({ result }) => (result.ok ? [result.value] : []));
  const [first, ...rest] = possible;
  if (!first) return bad(...refusalsOf(wanted));
  return good(rest.reduce((a, b) => (b.times.batch.value < a.times.batch.value ? b : a), first));
}

/** Which ways a plan compares: all of them, or only those that the run leaves open, where nobody looks at the others. */
type Ways = 'all' | 'wanted';

/** What a plan says of the way that it takes, beside how that compares. */
type Taken = Omit<Plan, 'ways' | 'chosenBecause'>;

function takenOf(run: Run, best: Route): Taken {
  const holdings = best.setups.map(({ setup }) => setup);
  const doubts = doubtsOf(run, holdings, best.made);
  const overrules = plannedOverrules(run, best.taken, best.times.piece.value, (indices) => {
    const without = planRoute(
      prepare({ ...run, overrules: run.overrules.filter((_, own) => !indices.includes(own)) }),
      best.way,
    );
    return without.ok ? without.value.times.piece.value : undefined;
  });
  const warnings = [
    ...doubts.map(({ path, rule, because: text }) => `${path}: ${rule}: ${text}`),
    ...overrules.flatMap((own) => toldOf(own).map((words) => `overrules[${own.index}]: ${words}`)),
    ...best.setups.flatMap(({ operations, broken }) => [
      ...operations.flatMap(({ number, name, warnings: own }) => own.map((text) => `${number} ${name}: ${text}`)),
      ...broken.map(({ rule, because: text }) => `${rule}: ${text}`),
    ]),
  ];
  return {
    ...best,
    run,
    lengths: workedLengths(run, holdings),
    overrules,
    doubts,
    edges: listEdges(run, best.setups),
    warnings,
  };
}

/**
 * Plans some ways one after the other; between two of them it can be asked for the plan of those that are done. In the
 * end the one that the run names is taken, or the quicker over the batch.
 */
export function* planWays(run: Run, ways: readonly Way[]): Generator<() => Result<Plan>, Result<Plan>> {
  const prepared = prepare(run);
  const planned: PlannedWay[] = [];
  const known = new Map<Route, Taken>();
  const conclude = (): Result<Plan> => {
    const inOrder = WAYS.flatMap((way) => planned.filter((own) => own.way === way));
    return andThen(bestOf(run, inOrder), (best) => {
      const taken = known.get(best) ?? takenOf(run, best);
      known.set(best, taken);
      const outcomes = inOrder.map(({ way, result }) => outcomeOf(way, result));
      const other = outcomes.find(({ way }) => way !== best.way);
      return good({ ...taken, ways: outcomes, chosenBecause: because(run, best, other) });
    });
  };
  for (const way of ways) {
    if (planned.length > 0) yield conclude;
    planned.push({ way, result: planRoute(prepared, way) });
  }
  return conclude();
}

/** The plan of a run, with both ways compared, or only those that it leaves open. */
export function planRun(run: Run, compared: Ways = 'all'): Result<Plan> {
  const steps = planWays(
    run,
    WAYS.filter((way) => compared === 'all' || isWanted(run, way)),
  );
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
}

/** From a run file of unknown make to its plan: the one pipeline of page, server, command line and tests. */
export const planFile = (file: unknown, shop: Shop, compared: Ways = 'all'): Result<Plan> =>
  andThen(readRun(file, shop), (run) => planRun(run, compared));
