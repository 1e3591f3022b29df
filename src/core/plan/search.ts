import { takesWay, WAYS, type Way } from '../model/way';
import { bad, good, type Problem, type Result } from '../model/result';
import type { Bar } from '../model/plan/stock';
import type { Run } from '../model/run';
import { WAY_BEGINS } from '../model/way';
import { setupsDecided, withDecided } from './reach/decidedRoute';
import { doubtsOf } from './doubts';
import type { Doubt } from './doubts/doubt';
import type { Fault, FaultCode, Proof } from './proof/faults';
import { proofOf } from './proved';
import { planRoute, prepare, type Prepared, type Route } from './route';
import { keyOf, otherSkeletons, usual, type Skeleton } from './skeleton';

/** A route that was tried: planned through, or why not. */
export interface Tried {
  skeleton: Skeleton;
  result: Result<Route>;
}

/** A route that could be, with what it cannot promise and what its proof showed. */
export interface Judged {
  route: Route;
  /** Whether it has as many set-ups as was decided. */
  asked: boolean;
  doubts: Doubt[];
  proof: Proof;
}

/** The way that the house takes where it can be, by its school. */
export const HOUSE_WAY: Record<string, Way> = { bar: 'from-bar', blanks: 'sawn-blanks' };

const isBare = ({ rule }: Doubt): boolean => rule === 'NO-OPERATION';

/** A run-out of the drawing that its holding is not true enough for. */
const isUntrue = ({ rule }: Doubt): boolean => rule === 'SAME-SETUP';

/** How much of a route is not as it should be. */
interface Wrong {
  /** It has another number of set-ups than was decided. */
  undecided: number;
  /** Features that nothing makes. */
  bare: number;
  /** What its proof found. */
  faults: number;
  /** Run-outs that it does not keep. */
  untrue: number;
}

const wrongIn = ({ doubts, proof, asked }: Judged): Wrong => ({
  undecided: Number(!asked),
  bare: doubts.filter(isBare).length,
  faults: proof.faults.length,
  untrue: doubts.filter(isUntrue).length,
});

/** Whether one route is less wrong than another: what was decided and what it leaves out count first, what is not true enough last. */
const lessWrong = (a: Wrong, b: Wrong): number =>
  a.undecided - b.undecided || a.bare - b.bare || a.faults - b.faults || a.untrue - b.untrue;

/** Whether a route makes everything that is drawn, as true as it is drawn, and its proof bears it out. */
export const isSound = (judged: Judged): boolean =>
  lessWrong(wrongIn(judged), { undecided: 0, bare: 0, faults: 0, untrue: 0 }) === 0;

/** Faults of how the work is held or stands out, which another route may not have. */
const OF_HOLDING: readonly FaultCode[] = [
  'meets-holding',
  'meets-centre',
  'meets-stop',
  'meets-rest',
  'nothing-gripped',
  'grip-marks',
  'grips-wall',
  'tips',
  'slender',
  'no-centre',
  'falls-off',
];

/** Whether another route may be sounder: something is left out, or it is held or stands out wrongly, or not true enough. */
const couldBeBetter = (judged: Judged): boolean => {
  const { undecided, bare, untrue } = wrongIn(judged);
  return undecided + bare + untrue > 0 || judged.proof.faults.some(({ code }) => OF_HOLDING.includes(code));
};

/** Whether holding it otherwise could make it sound: nothing else is wrong with it. */
const couldBeSound = (judged: Judged): boolean =>
  !judged.asked || judged.proof.faults.every(({ code }) => OF_HOLDING.includes(code) || wrongIn(judged).bare > 0);

/** So many others are tried where no route can be sound, for one that is held better. */
const FEW = 3;

/** Why none of the routes can be: what stands in all of them once, the rest with the way it stands in. */
export function refusalsOf(tried: readonly Tried[]): Problem[] {
  const problemsIn = ({ result }: Tried) => (result.ok ? [] : result.problems);
  const same = (a: Problem) => (b: Problem) => a.path === b.path && a.message === b.message;
  const told: Problem[] = [];
  for (const attempt of tried)
    for (const problem of problemsIn(attempt)) {
      const everywhere = tried.every((other) => problemsIn(other).some(same(problem)));
      const message = everywhere
        ? problem.message
        : `${WAY_BEGINS[attempt.skeleton.way].toLowerCase()}: ${problem.message}`;
      if (!told.some(same({ ...problem, message }))) told.push({ ...problem, message });
    }
  return told;
}

/** Whether nothing is left on, nor done beforehand. */
const isPlain = ({ spigot, centred, dearer, clearance, end }: Skeleton): boolean =>
  !spigot && !centred && dearer === 0 && clearance === undefined && end === undefined;

const isUsual = ({ skeleton }: Route): boolean => isPlain(skeleton);

const batchOf = ({ times }: Route): number => times.batch.value;

/** How a route that was not taken compares: what it is, its figures where it could be planned, and what it lost by. */
export interface Compared {
  skeleton: Skeleton;
  /** How many set-ups it has, and the bar that it is made from. */
  setups?: number;
  bar?: Bar;
  pieceMinutes?: number;
  batchMinutes?: number;
  /** More over the batch than the one that was taken, minutes; less where it is quicker and not sound. */
  lostBy?: number;
  because: 'slower' | 'quicker-elsewhere' | 'undecided' | 'bare' | 'not-proved' | 'untrue' | 'refused';
  /** What of it cannot be, where that is why. */
  problem?: Problem;
  fault?: Fault;
}

/** How many routes were tried, whether those were all of the space, and how the best others compare. */
export interface Answered {
  tried: number;
  /** Set-ups that were planned through. */
  setups: number;
  proven: boolean;
  /** The best of each way. */
  best: Skeleton[];
  runnersUp: Compared[];
}

/** How many others are told. */
const RUNNERS_UP = 5;

/**
 * The search over whole routes of a run (trade: The job). The usual route of each way is tried first; where none of those
 * that the run leaves open is sound, others are, until one is.
 */
export class Search {
  readonly prepared: Prepared;
  readonly tried: Tried[] = [];
  private readonly judged = new Map<Route, Judged>();
  /** Whether everything in the space was tried. */
  private isWhole = false;

  private readonly run: Run;

  constructor(run: Run) {
    this.run = withDecided(run);
    this.prepared = prepare(run);
  }

  isOpen(way: Way): boolean {
    return takesWay(this.run.stock, way) && (this.run.way === 'choose' || this.run.way === way);
  }

  /** The plainest route that was not tried yet; what those before it were refused for says where to look. */
  private next(eitherEnd: boolean): Skeleton | undefined {
    const wants = new Set(
      this.tried.flatMap(({ result }) => (result.ok ? [] : result.problems.map((problem) => problem.wants))),
    );
    const known = new Set(this.tried.map(({ skeleton }) => keyOf(skeleton)));
    return WAYS.filter((way) => this.isOpen(way))
      .flatMap((way) => otherSkeletons(this.run, way, wants, eitherEnd))
      .find((skeleton) => !known.has(keyOf(skeleton)));
  }

  try(skeleton: Skeleton): void {
    this.tried.push({ skeleton, result: planRoute(this.prepared, skeleton) });
  }

  /** Whether a route was looked at and found wanting; what nobody had to look at is not known to be. */
  isKnownUnsound(route: Route): boolean {
    const known = this.judged.get(route);
    return known !== undefined && !isSound(known);
  }

  /** What of a route is as it should be; looked at once. */
  judge(route: Route): Judged {
    const known = this.judged.get(route);
    if (known) return known;
    const doubts = doubtsOf(
      this.run,
      route.setups.map(({ setup }) => setup),
      route.made,
    );
    const decided = setupsDecided(this.run);
    const asked = decided === undefined || decided === route.setups.length;
    const judged = { route, asked, doubts, proof: proofOf({ ...route, run: this.run, doubts }) };
    this.judged.set(route, judged);
    return judged;
  }

  private planned(way?: Way): Route[] {
    return this.tried.flatMap(({ skeleton, result }) =>
      result.ok && (way === undefined ? this.isOpen(skeleton.way) : skeleton.way === way) ? [result.value] : [],
    );
  }

  /** The quickest sound one; of those that are none, the one with least that is wrong, a usual one where it is no worse. */
  private bestAmong(routes: readonly Route[]): Judged | undefined {
    const quickest = routes.toSorted((a, b) => batchOf(a) - batchOf(b));
    const judged: Judged[] = [];
    for (const route of quickest) {
      const looked = this.judge(route);
      if (isSound(looked)) return looked;
      judged.push(looked);
    }
    return judged.toSorted(
      (a, b) => lessWrong(wrongIn(a), wrongIn(b)) || Number(isUsual(b.route)) - Number(isUsual(a.route)),
    )[0];
  }

  /** The best so far of the ways that the run leaves open: the house's where that is sound, else of all. */
  best(): Result<Judged> {
    const house = HOUSE_WAY[this.run.shop.houseRules.stock];
    const judged = house && this.isOpen(house) ? this.bestAmong(this.planned(house)) : undefined;
    const best = judged && isSound(judged) ? judged : this.bestAmong(this.planned());
    return best
      ? good(best)
      : bad(...refusalsOf(this.tried.filter(({ skeleton }) => this.isOpen(skeleton.way) && isPlain(skeleton))));
  }

  /** How the others compare with the route that is taken, the quickest sound ones first. */
  answered(best: Judged): Answered {
    const others = this.tried.flatMap((attempt): Compared[] =>
      attempt.result.ok && attempt.result.value === best.route ? [] : [this.compare(attempt, best)],
    );
    const rank = ({ because, batchMinutes = Infinity }: Compared) =>
      (because === 'refused' ? 2 : because === 'slower' || because === 'quicker-elsewhere' ? 0 : 1) * 1e9 +
      batchMinutes;
    return {
      tried: this.tried.length,
      setups: this.tried.reduce((sum, { result }) => sum + (result.ok ? result.value.setups.length : 0), 0),
      proven: this.isWhole,
      best: WAYS.flatMap((way) => {
        const outcome = this.outcomeOf(way);
        // What would be quicker and was not taken is not sound.
        return outcome?.ok && batchOf(outcome.value) >= batchOf(best.route) - 1e-9 ? [outcome.value.skeleton] : [];
      }),
      runnersUp: others.toSorted((a, b) => rank(a) - rank(b)).slice(0, RUNNERS_UP),
    };
  }

  private compare({ skeleton, result }: Tried, best: Judged): Compared {
    if (!result.ok)
      return { skeleton, because: 'refused', ...(result.problems[0] ? { problem: result.problems[0] } : {}) };
    const figures = {
      skeleton,
      setups: result.value.setups.length,
      bar: result.value.stock,
      pieceMinutes: result.value.times.piece.value,
      batchMinutes: batchOf(result.value),
      lostBy: batchOf(result.value) - batchOf(best.route),
    };
    // What is slower than a sound one has lost by that alone: nobody asks for its proof.
    if (figures.lostBy >= 0 && isSound(best)) return { ...figures, because: 'slower' };
    const judged = this.judge(result.value);
    const [fault] = judged.proof.faults;
    if (!judged.asked && best.asked) return { ...figures, because: 'undecided' };
    if (wrongIn(judged).bare > wrongIn(best).bare) return { ...figures, because: 'bare' };
    if (fault) return { ...figures, because: 'not-proved', fault };
    if (wrongIn(judged).untrue > 0) return { ...figures, because: 'untrue' };
    return { ...figures, because: figures.lostBy >= 0 ? 'slower' : 'quicker-elsewhere' };
  }

  /** What came of a way, at its best. */
  outcomeOf(way: Way): Result<Route> | undefined {
    const [only, ...more] = this.planned(way);
    if (only && more.length === 0) return good(only);
    const best = this.bestAmong(this.planned(way));
    return best ? good(best.route) : this.tried.find(({ skeleton }) => skeleton.way === way)?.result;
  }

  /** Tries some routes and no others. */
  *only(skeletons: readonly Skeleton[]): Generator<void, void> {
    for (const skeleton of skeletons) {
      if (this.tried.length > 0) yield;
      this.try(skeleton);
    }
  }

  /**
   * Tries the usual routes of some ways, then others as long as there is nothing sound; a step for each.
   * @param goOn whether to look on all the same, for what is quicker; asked before each
   */
  *steps(ways: readonly Way[], goOn?: () => boolean): Generator<void, void> {
    for (const way of ways.filter((candidate) => takesWay(this.run.stock, candidate))) {
      if (this.tried.length > 0) yield;
      this.try(usual(way));
    }
    const whole = goOn !== undefined;
    for (let next = this.next(whole), others = 0; next; next = this.next(whole), others += 1) {
      const best = this.best();
      if (goOn && !goOn()) return;
      if (!goOn && best.ok && (!couldBeBetter(best.value) || (others >= FEW && !couldBeSound(best.value)))) return;
      yield;
      this.try(next);
    }
    this.isWhole = true;
  }
}

/** Every route of a run that was tried, and the first thing that stopped it. */
export function routesTried(run: Run): { skeleton: Skeleton; problem: Problem | undefined }[] {
  const search = new Search(run);
  for (const steps = search.steps(WAYS.filter((way) => search.isOpen(way))); !steps.next().done;);
  return search.tried.map(({ skeleton, result }) => ({
    skeleton,
    problem: result.ok ? undefined : result.problems[0],
  }));
}

/** Minutes over the batch by the quickest of some routes, the house's way before others; undefined where none can be. */
export function batchBy(run: Run, routes: readonly Skeleton[]): number | undefined {
  const prepared = prepare(run);
  const planned = routes.flatMap((skeleton) => {
    const route = planRoute(prepared, skeleton);
    return route.ok ? [route.value] : [];
  });
  const house = planned.filter(({ way }) => way === HOUSE_WAY[run.shop.houseRules.stock]);
  const minutes = (house.length > 0 ? house : planned).map(batchOf);
  return minutes.length > 0 ? Math.min(...minutes) : undefined;
}
