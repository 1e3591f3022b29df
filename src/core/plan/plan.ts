import { WAY_BEGINS, WAYS, type Way } from '../model/way';
import type { Stock } from '../model/plan/stock';
import { readAndTake } from './material';
import { andThen, good, type Problem, type Result } from '../model/result';
import type { Proof } from './proof/faults';
import { planRoute, prepare, type Route } from './route';
import type { Judged } from './judged';
import { HOUSE_WAY, Search, type Answered, type Searching } from './search';
import type { Run } from '../model/run';
import type { Shop } from '../model/shop/shop';
import { sayMinutes } from '../model/units/show';
import { type Times } from './times/planTimes';
import { listEdges, type ListedEdge } from './operations/edgeList';
import type { Doubt } from './doubts/doubt';
import { resultingLengths, type ResultingLengths } from './stops/resultingLengths';
import { plannedOverrules, toldOf, type PlannedOverrule } from './order/overrules';
import type { Reason } from '../model/words';

/** A way as it compares: with its figures, or why it cannot be. */
export interface WayOutcome {
  way: Way;
  stock?: Stock;
  times?: Times;
  problem?: Problem;
  /** It can be planned, and its plan leaves something out or is not proved. */
  unsound?: true;
}

/** A whole plan. */
export interface Plan extends Route {
  run: Run;
  ways: WayOutcome[];
  chosenBecause: Reason;
  /** The drawing's lengths as they are worked: from which face, and how closely. */
  lengths: ResultingLengths;
  /** What was decided against the planner, and what that breaks and costs. */
  overrules: PlannedOverrule[];
  /** How the routes that were tried compare. */
  route: Answered;
  /** What running it on an exact workpiece showed. */
  proof: Proof;
  /** What the plan cannot promise: features without an operation, sizes and walls beyond the bench. */
  doubts: Doubt[];
  /** Edges that no chamfer of the drawing breaks, and what breaks them. */
  edges: ListedEdge[];
  warnings: string[];
}

const outcomeOf = (way: Way, planned: Result<Route>): WayOutcome =>
  planned.ok
    ? { way, stock: planned.value.stock, times: planned.value.times }
    : { way, ...(planned.problems[0] ? { problem: planned.problems[0] } : {}) };

/** Why this way: named by the run, the only one that can be, or quicker over the batch. */
function because(run: Run, best: Route, other: WayOutcome | undefined): Reason {
  const rule = 'WAY';
  if (best.way === 'as-it-arrives') return { rule, because: 'The run says what it is made from, as it arrives.' };
  if (run.way !== 'choose') return { rule, because: `${WAY_BEGINS[best.way]}: the run says so.` };
  if (other?.problem)
    return {
      rule,
      because: `${WAY_BEGINS[best.way]}, because ${WAY_BEGINS[other.way].toLowerCase()} cannot be: ${other.problem.message}.`,
    };
  if (HOUSE_WAY[run.shop.houseRules.stock] === best.way)
    return { rule, because: `${WAY_BEGINS[best.way]}: house rule.` };
  const saved = (other?.times?.batch.value ?? 0) - best.times.batch.value;
  if (saved < 0)
    return {
      rule,
      because: `${WAY_BEGINS[best.way]}: ${WAY_BEGINS[best.way === 'from-bar' ? 'sawn-blanks' : 'from-bar'].toLowerCase()} would be quicker over the batch by ${sayMinutes(-saved)}, and ${other?.unsound ? 'running that plan does not bear it out' : run.shop.houseRules.worth === 'money' ? 'it is dearer' : 'its risks weigh more'}.`,
    };
  return { rule, because: `${WAY_BEGINS[best.way]} is quicker over the batch by ${sayMinutes(saved)}.` };
}

const isWanted = (run: Run, way: Way): boolean => run.way === 'choose' || run.way === way;

/** Which ways a plan compares: all of them, or only those that the run leaves open, where nobody looks at the others. */
type Ways = 'all' | 'wanted';

/** What a plan says of the way that it takes, beside how that compares. */
type Taken = Omit<Plan, 'ways' | 'chosenBecause' | 'route'>;

function takenOf(run: Run, { route: best, doubts, proof }: Judged): Taken {
  const overrules = plannedOverrules(run, best.taken, best.times.piece.value, (indices) => {
    const without = planRoute(
      prepare({ ...run, overrules: run.overrules.filter((_, index) => !indices.includes(index)) }),
      best.skeleton,
    );
    return without.ok ? without.value.times.piece.value : undefined;
  });
  const warnings = [
    ...doubts.map(({ path, rule, because: text }) => `${path}: ${rule}: ${text}`),
    ...overrules.flatMap((overrule) => toldOf(overrule).map((words) => `overrules[${overrule.index}]: ${words}`)),
    ...best.setups.flatMap(({ operations, broken }) => [
      ...operations.flatMap(({ number, name, warnings: minded }) => minded.map((text) => `${number} ${name}: ${text}`)),
      ...broken.map(({ rule, because: text }) => `${rule}: ${text}`),
    ]),
  ];
  return {
    ...best,
    run,
    lengths: resultingLengths(run, best.setups),
    overrules,
    doubts,
    proof,
    edges: listEdges(run, best.setups),
    warnings,
  };
}

/** How a search stands between two routes: whether there is something sound, and the best plan so far. */
export interface SoFar {
  hasSound: () => boolean;
  plan: () => Result<Plan>;
}

/**
 * Plans routes of some ways one after the other; between two of them it can be asked how it stands. In the end the way that
 * the run names is taken, or the quickest over the batch.
 */
export function* planWays(run: Run, ways: readonly Way[], searching: Searching = {}): Generator<SoFar, Result<Plan>> {
  const search = new Search(run);
  const { first, keep = false } = searching;
  const known = new Map<Judged, Taken>();
  const chosen = (): Result<Judged> => {
    const kept = first && keep ? search.soundBy(first) : undefined;
    return kept ? good(kept) : search.best();
  };
  const conclude = (): Result<Plan> =>
    andThen(chosen(), (best) => {
      const taken = known.get(best) ?? takenOf(run, best);
      known.set(best, taken);
      const outcomes = WAYS.flatMap((way) => {
        const outcome = search.outcomeOf(way);
        if (!outcome) return [];
        // Told of what would be quicker: what is slower has lost by that alone.
        const quicker = outcome.ok && outcome.value.times.batch.value < best.route.times.batch.value;
        const unsound = quicker && search.isKnownUnsound(outcome.value);
        return [{ ...outcomeOf(way, outcome), ...(unsound ? { unsound } : {}) }];
      });
      const other = outcomes.find(({ way }) => way !== best.route.way);
      return good({
        ...taken,
        ways: outcomes,
        chosenBecause: because(run, best.route, other),
        route: search.answered(best),
      });
    });
  const soFar: SoFar = { hasSound: () => search.hasSound(), plan: conclude };
  const steps = search.steps(ways, searching);
  for (let step = steps.next(); !step.done; step = steps.next()) yield soFar;
  return conclude();
}

/** The plan of a run, with both ways compared, or only those that it leaves open. */
export function planRun(run: Run, compared: Ways = 'all', searching: Searching = {}): Result<Plan> {
  const steps = planWays(
    run,
    WAYS.filter((way) => compared === 'all' || isWanted(run, way)),
    searching,
  );
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
}

/** From a run file of unknown make to its plan: the one pipeline of page, server, command line and tests. */
export const planFile = (file: unknown, shop: Shop, compared: Ways = 'all', searching: Searching = {}): Result<Plan> =>
  andThen(readAndTake(file, shop), (run) => planRun(run, compared, searching));
