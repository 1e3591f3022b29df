import { leftToPolish } from '../model/shop/polished';
import { andThen, collect, good, refuse, type Result } from '../model/result';
import type { Stock } from '../model/plan/stock';
import type { TakenOverrule } from '../model/plan/taken';
import type { Run } from '../model/run';
import { takenOfRoute, withDecided } from './reach/decidedRoute';
import { withLeft, type Skeleton } from './skeleton';
import { halvesAgree, inHalves } from './halves';
import { withWalkedFillets } from './fillets';
import { solid } from '../model/workpiece/workpiece';
import type { Way } from '../model/way';
import { barTo, cutSetup, NOTHING_CUT, type CutSetup, type CutSoFar } from './cuts/planCuts';
import type { OrderedSetup } from './order/orderedSetup';
import type { Setup } from '../model/plan/setup';
import { planSetups } from './holding/setups';
import { leftForElsewhere } from './operations/leftForElsewhere';
import { planOperations } from './order/planOperations';
import { outsideOps } from './outside';
import type { OutsideOp } from './outside/outsideOp';
import { checkFinished } from './proof/checkFinished';
import { bringsWithIt, madeChamfers, madeFeatures } from './reach/reached';
import { assessBars, planStock, type Assessed } from './stock/choose';
import { risksOf } from './risks';
import type { Risk } from './risks/risk';
import { planStops } from './stops/planStops';
import { worthOf } from './worth';
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
  /** Minutes over the batch, or its cost in those, with what its risks weigh: less is better. */
  worth: number;
}

/** Stages of routes by their input. */
interface Known {
  stocks: Map<string, Result<Stock>>;
  /** The operations of a set-up, and what it and those before it leave. */
  ordered: Map<string, Result<OrderedSetup>>;
  cuts: Map<string, Result<CutSoFar>>;
}

/** What is known of an input, or what is made of it, and known from then on. */
function remembered<T>(known: Map<string, T>, input: string, make: () => T): T {
  const there = known.get(input);
  if (there !== undefined) return there;
  const made = make();
  known.set(input, made);
  return made;
}

/** A run as the drawing has it, as the lathe leaves it for work elsewhere, and the bars that it could be made from. */
export interface Prepared {
  drawn: Run;
  run: Run;
  bars: Assessed[];
  /** What was worked out before, by what it depends on: many routes begin alike. */
  known: Known;
}

/** What every route of a run begins with. */
export function prepare(drawn: Run): Prepared {
  const left = leftToPolish(leftForElsewhere(drawn.part, drawn.shop.outside), drawn.shop.cutting);
  const run = withDecided({ ...drawn, part: withWalkedFillets(left, drawn.shop) });
  return { drawn, run, bars: assessBars(run), known: { stocks: new Map(), ordered: new Map(), cuts: new Map() } };
}

/** What the stock of a route depends on: what holds it, and how it is drawn out, comes after it. */
const stockInput = ({ way, spigot, centred, endLast, halves, dearer, end, clearance }: Skeleton): string =>
  [way, spigot, centred, endLast, halves, dearer, end, clearance].join(' ');

/** A set-up in words, without what all of a stock and a run have. */
const wordsOf = (setup: Setup): string =>
  JSON.stringify(setup, (key, value: unknown) => (['run', 'stock', 'part'].includes(key) ? undefined : value));

/** The operations of all set-ups in their order, and their cuts; what begins like a route before it is not worked out again. */
function cutAll({ known }: Prepared, setups: readonly Setup[], stock: string): Result<CutSetup[]> {
  const inputs = setups.map((setup) => `${stock} ${wordsOf(setup)}`);
  const ordered = collect(
    setups.map((setup, index) => remembered(known.ordered, inputs[index] ?? '', () => planOperations(setup))),
  );
  if (!ordered.ok) return ordered;
  const bar = barTo(setups);
  let cut: Result<CutSoFar> = good(NOTHING_CUT);
  for (const [index, setup] of ordered.value.entries()) {
    const before = cut;
    const input = `${bar} ${inputs.slice(0, index + 1).join()}`;
    cut = remembered(known.cuts, input, () => andThen(before, (so) => cutSetup(setup, so, bar)));
  }
  return andThen(cut, ({ done }) => good(done));
}

/** A route up to its holdings: what is made, from what, and how that is held. */
interface HeldRoute {
  run: Run;
  stock: Stock;
  setups: Setup[];
}

function holdRoute(prepared: Prepared, skeleton: Skeleton): Result<HeldRoute> {
  const { way, centred, drawnOut = false, endLast = false, halves = false, hold = 0, alike = false } = skeleton;
  const left = withLeft(prepared.run, skeleton);
  const part = halves ? inHalves(left.part, left.shop.allowances.toolClearance) : left.part;
  if (!part) return refuse('part.outside', 'no plain diameter of it can be turned half from each side');
  const run = { ...left, part };
  const later = (skeleton.later ?? []).map(({ path }) => path);
  const stock = remembered(prepared.known.stocks, stockInput(skeleton), () =>
    planStock(run, way, prepared.bars, skeleton.dearer),
  );
  return andThen(stock, (taken) =>
    andThen(planSetups(run, taken, { centred, drawnOut, endLast, hold, bothAlike: alike, later }), (setups) =>
      andThen(halves ? halvesAgree(setups, run) : good(undefined), () => good({ run, stock: taken, setups })),
    ),
  );
}

/** A set-up in which nothing was cut. */
const uncut = (setup: Setup): CutSetup => ({
  setup,
  order: { sequence: [], changeMinutes: 0, proven: true, gapMinutes: 0 },
  operations: [],
  reasons: [],
  broken: [],
  overruled: [],
  start: solid(0, setup.part.length, setup.stock.over),
  cuts: [],
});

/** Times of set-ups that were cut, one after the other. */
const timeAll = (cut: CutSetup[]): PlannedSetup[] =>
  planStops(cut).map((stopped, index, all) => timeSetup(stopped, all[index - 1]));

/**
 * The least that a route can be worth: what its bar, its holdings and getting the piece in and out come to, every operation
 * and every risk being more; infinite where it cannot be held.
 */
export function boundOf(prepared: Prepared, skeleton: Skeleton): number {
  const held = holdRoute(prepared, skeleton);
  if (!held.ok) return Infinity;
  const { run, stock, setups } = held.value;
  const timed = timeAll(setups.map(uncut));
  return worthOf({ run, stock, setups: timed, times: planTimes(run, stock, timed) }, []);
}

/** The straight line: stock → set-ups → operations and their order → cuts → proof → stops → times. Nothing flows back. */
export const planRoute = (prepared: Prepared, skeleton: Skeleton): Result<Route> =>
  andThen(holdRoute(prepared, skeleton), ({ run, stock, setups }) =>
    andThen(cutAll(prepared, setups, stockInput(skeleton)), (cut) =>
      andThen(checkFinished(cut), () => {
        const timed = timeAll(cut);
        const whole = withOthers(prepared.drawn, run, skeleton, stock, timed);
        const risks = risksOf(timed, run);
        const worth = worthOf({ run, stock, setups: timed, times: whole.times }, risks);
        return good({ skeleton, way: skeleton.way, stock, setups: timed, ...whole, risks, worth });
      }),
    ),
  );

/** Work on other machines beside that of the lathe, what both make, and the times of both. */
function withOthers(
  drawn: Run,
  run: Run,
  skeleton: Skeleton,
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
    taken: [...setups.flatMap(({ overruled }) => overruled), ...decided, ...takenOfRoute(run, { setups, skeleton })],
    times: planTimes(run, stock, setups, outside),
  };
}
