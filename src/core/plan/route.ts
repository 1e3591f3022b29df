import { collect, good, type Result } from '../model/result';
import type { Stock } from '../model/plan/stock';
import type { TakenOverrule } from '../model/plan/taken';
import type { Run } from '../model/run';
import { takenOfRoute, withDecided } from './reach/decidedRoute';
import { withLeft, type Skeleton } from './skeleton';
import type { Way } from '../model/way';
import { planCuts } from './cuts/planCuts';
import { planSetups } from './holding/setups';
import { leftForElsewhere } from './operations/leftForElsewhere';
import { planOperations } from './order/planOperations';
import { outsideOps } from './outside';
import type { OutsideOp } from './outside/outsideOp';
import { checkFinished } from './proof/checkFinished';
import { bringsWithIt, madeChamfers, madeFeatures } from './reach/reached';
import { assessBars, planStock, type Assessed } from './stock/choose';
import { risksOf, weightOf } from './risks';
import type { Risk } from './risks/risk';
import { planStops } from './stops/planStops';
import { planTimes, timeSetup, type PlannedSetup, type Times } from './times/planTimes';

/** One route: a way of making the run, planned through. */
export interface Route {
  skeleton: Skeleton;
  way: Way;
  stock: Stock;
  setups: PlannedSetup[];
  /** Work on other machines, each after one of the set-ups. */
  outside: OutsideOp[];
  /** Overrules as they were taken. */
  taken: TakenOverrule[];
  /** Paths of the features that are there in the end: made here, elsewhere, or brought by the bar. */
  made: ReadonlySet<string>;
  times: Times;
  /** What may go wrong with it or costs quality. */
  risks: Risk[];
  /** Minutes over the batch with what its risks weigh: less is better. */
  worth: number;
}

/** A run as the drawing has it, as the lathe leaves it for work elsewhere, and the bars that it could be made from. */
export interface Prepared {
  drawn: Run;
  run: Run;
  bars: Assessed[];
  /** Stock that was divided before, by what it depends on: many routes begin with the same. */
  stocks: Map<string, Result<Stock>>;
}

/** What every route of a run begins with. */
export function prepare(drawn: Run): Prepared {
  const run = withDecided({ ...drawn, part: leftForElsewhere(drawn.part, drawn.shop.outside) });
  return { drawn, run, bars: assessBars(run), stocks: new Map() };
}

/** The stock of a route: what holds it, and how it is drawn out, comes after it. */
function stockOf(
  { bars, stocks }: Prepared,
  run: Run,
  { way, spigot, centred, dearer, end, clearance }: Skeleton,
): Result<Stock> {
  const key = [way, spigot, spigot && centred, dearer, end, clearance].join(' ');
  const stock = stocks.get(key) ?? planStock(run, way, bars, dearer);
  stocks.set(key, stock);
  return stock;
}

/** The straight line: stock → set-ups → operations and their order → cuts → proof → stops → times. Nothing flows back. */
export function planRoute(prepared: Prepared, skeleton: Skeleton): Result<Route> {
  const { way, centred, drawnOut = false, hold = 0, alike = false } = skeleton;
  const run = withLeft(prepared.run, skeleton);
  const stock = stockOf(prepared, run, skeleton);
  if (!stock.ok) return stock;
  const setups = planSetups(run, stock.value, { centred, drawnOut, hold, bothAlike: alike });
  if (!setups.ok) return setups;
  const ordered = collect(setups.value.map(planOperations));
  if (!ordered.ok) return ordered;
  const cut = planCuts(ordered.value);
  if (!cut.ok) return cut;
  const proof = checkFinished(cut.value);
  if (!proof.ok) return proof;
  const timed = planStops(cut.value).map((stopped, index, all) => timeSetup(stopped, all[index - 1]));
  const whole = withOthers(prepared.drawn, run, stock.value, timed);
  const risks = risksOf(timed, run);
  const worth = whole.times.batch.value + run.quantity * weightOf(risks, run);
  return good({ skeleton, way, stock: stock.value, setups: timed, ...whole, risks, worth });
}

/** Work on other machines beside that of the lathe, what both make, and the times of both. */
function withOthers(
  drawn: Run,
  run: Run,
  stock: Stock,
  setups: PlannedSetup[],
): Pick<Route, 'outside' | 'made' | 'taken' | 'times'> {
  const operations = setups.flatMap((planned) => planned.operations);
  const here = [
    ...madeFeatures(run.part, operations),
    ...madeChamfers(run.part, operations),
    ...bringsWithIt(run.part, stock),
  ].map(({ path }) => path);
  const makes = setups.map(({ setup, operations: done }) => ({
    setup,
    makes: done.flatMap(({ feature, makes: also = [] }) => [feature, ...also]),
  }));
  const { operations: outside, taken: decided } = outsideOps(drawn, new Set(here), makes);
  return {
    outside,
    made: new Set([...here, ...outside.map(({ feature }) => feature)]),
    taken: [...setups.flatMap(({ overruled }) => overruled), ...decided, ...takenOfRoute(run, { setups })],
    times: planTimes(run, stock, setups, outside),
  };
}
