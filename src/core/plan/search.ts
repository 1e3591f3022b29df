import { WAYS, type Way } from '../model/way';
import { bad, good, type Problem, type Result } from '../model/result';
import type { Run } from '../model/run';
import { WAY_BEGINS } from '../model/way';
import { doubtsOf } from './doubts';
import type { Doubt } from './doubts/doubt';
import type { Proof } from './proof/faults';
import { proofOf } from './proved';
import { planRoute, prepare, type Prepared, type Route } from './route';
import { otherSkeletons, usual, type Skeleton } from './skeleton';

/** A route that was tried: planned through, or why not. */
export interface Tried {
  skeleton: Skeleton;
  result: Result<Route>;
}

/** A route that could be, with what it cannot promise and what its proof showed. */
export interface Judged {
  route: Route;
  doubts: Doubt[];
  proof: Proof;
}

/** The way that the house takes where it can be, by its school. */
export const HOUSE_WAY: Record<string, Way> = { bar: 'from-bar', blanks: 'sawn-blanks' };

const isBare = ({ rule }: Doubt): boolean => rule === 'NO-OPERATION';

/** How much of a route is not as it should be: features that nothing makes first, then what its proof found. */
const wrongIn = ({ doubts, proof }: Judged): [number, number] => [doubts.filter(isBare).length, proof.faults.length];

/** Whether a route makes everything that is drawn, and its proof bears it out. */
export const isSound = (judged: Judged): boolean => wrongIn(judged).every((count) => count === 0);

/** Why none of the routes can be: what stands in all of them once, the rest with the way it stands in. */
export function refusalsOf(tried: readonly Tried[]): Problem[] {
  const problemsIn = ({ result }: Tried) => (result.ok ? [] : result.problems);
  const same = (a: Problem) => (b: Problem) => a.path === b.path && a.message === b.message;
  const told: Problem[] = [];
  for (const own of tried)
    for (const problem of problemsIn(own)) {
      const everywhere = tried.every((other) => problemsIn(other).some(same(problem)));
      const message = everywhere
        ? problem.message
        : `${WAY_BEGINS[own.skeleton.way].toLowerCase()}: ${problem.message}`;
      if (!told.some(same({ ...problem, message }))) told.push({ ...problem, message });
    }
  return told;
}

/** Whether nothing is left on, nor done beforehand. */
const isPlain = ({ spigot, centred, dearer, clearance }: Skeleton): boolean =>
  !spigot && !centred && dearer === 0 && clearance === undefined;

const isUsual = ({ skeleton }: Route): boolean => isPlain(skeleton);

const batchOf = ({ times }: Route): number => times.batch.value;

/**
 * The search over whole routes of a run (trade: The job). The usual route of each way is tried first; where none of those
 * that the run leaves open is sound, others are, until one is.
 */
export class Search {
  readonly prepared: Prepared;
  readonly tried: Tried[] = [];
  private readonly judged = new Map<Route, Judged>();

  constructor(private readonly run: Run) {
    this.prepared = prepare(run);
  }

  private isOpen(way: Way): boolean {
    return this.run.way === 'choose' || this.run.way === way;
  }

  try(skeleton: Skeleton): void {
    this.tried.push({ skeleton, result: planRoute(this.prepared, skeleton) });
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
    const judged = { route, doubts, proof: proofOf({ ...route, run: this.run, doubts }) };
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
      const own = this.judge(route);
      if (isSound(own)) return own;
      judged.push(own);
    }
    return judged.toSorted((a, b) => {
      const [is, other] = [wrongIn(a), wrongIn(b)];
      return is[0] - other[0] || is[1] - other[1] || Number(isUsual(b.route)) - Number(isUsual(a.route));
    })[0];
  }

  /** The best so far of the ways that the run leaves open: the house's where that is sound, else of all. */
  best(): Result<Judged> {
    const house = HOUSE_WAY[this.run.shop.houseRules.stock];
    const own = house && this.isOpen(house) ? this.bestAmong(this.planned(house)) : undefined;
    const best = own && isSound(own) ? own : this.bestAmong(this.planned());
    return best
      ? good(best)
      : bad(...refusalsOf(this.tried.filter(({ skeleton }) => this.isOpen(skeleton.way) && isPlain(skeleton))));
  }

  /** What came of a way, at its best. */
  outcomeOf(way: Way): Result<Route> | undefined {
    const own = this.tried.filter(({ skeleton }) => skeleton.way === way);
    const best = this.bestAmong(this.planned(way));
    return best ? good(best.route) : own[0]?.result;
  }

  /** Tries the usual routes of some ways, then others as long as there is nothing sound; a step for each. */
  *steps(ways: readonly Way[]): Generator<void, void> {
    for (const way of ways) {
      if (this.tried.length > 0) yield;
      this.try(usual(way));
    }
    const others = WAYS.filter((way) => this.isOpen(way)).flatMap((way) => otherSkeletons(this.run, way));
    for (const skeleton of others) {
      const best = this.best();
      if (best.ok && isSound(best.value)) return;
      yield;
      this.try(skeleton);
    }
  }
}
