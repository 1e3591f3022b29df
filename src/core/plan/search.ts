import { takesWay, WAYS, type Way } from '../model/way';
import { bad, good, type Problem, type Result } from '../model/result';
import type { Run } from '../model/run';
import { withDecided } from './reach/decidedRoute';
import { mendedAtOther, nearerToOther } from './leftToOther';
import { doubtsOf } from './doubts';
import { isSound, lessWrong, refusalsOf, wrongIn, type Judged, type Tried } from './judged';
import { batchOf, figuresOf, isSameAs, secondOf, type Compared } from './compared';
import { drawnSmall } from './drawnSmall';
import { couldHoldBoth } from './holding/ready';
import { proofOf } from './proved';
import { boundOf, planRoute, prepare, type Prepared, type Route } from './route';
import { keyOf, namedBy, otherSkeletons, rankOf, usual, type Skeleton, type Wants } from './skeleton';

/** The way that the house takes where it can be, by its school. */
export const HOUSE_WAY: Record<string, Way> = { bar: 'from-bar', blanks: 'sawn-blanks' };

/** Whether nothing is left on, nor done beforehand. */
const isPlain = (skeleton: Skeleton): boolean => keyOf(skeleton) === keyOf(usual(skeleton.way));

/** How many routes were tried, whether those were all of the space, and how the best others compare. */
export interface Answered {
  tried: number;
  /** Set-ups that were planned through. */
  setups: number;
  proven: boolean;
  /** What a route that was not tried could save at most: a share of what the one that is taken is worth. */
  gap?: number;
  /** The best of each way. */
  best: Skeleton[];
  runnersUp: Compared[];
  /** The best, where another one is kept because it was shown. */
  offered?: Compared;
}

/** How far is searched. */
export interface Searching {
  /** These routes and no others: where they were found before. */
  only?: readonly Skeleton[];
  /** The route that is shown is tried first. */
  first?: Skeleton;
  /** And is kept where it is sound: a better one is told. */
  keep?: boolean;
  /** To the first sound route, or until it is settled (start). */
  until?: 'sound' | 'settled';
  /** So many set-ups are planned through at most. */
  most?: number;
  /** Asked before each other route, instead of a count of set-ups. */
  goOn?: () => boolean;
}

/** After so many set-ups that were planned through a search is settled (start). */
const MOST_SETUPS = 100;

/** Whether one means could hold both sides of a route, and does not yet. */
function couldBeAlike(route: Route): boolean {
  const second = secondOf(route)?.holding;
  const first = route.setups.findLast(({ setup }) => setup.side === 1)?.setup;
  return second !== undefined && first !== undefined && couldHoldBoth(second, first);
}

/** How many others are told. */
const RUNNERS_UP = 5;

/**
 * The search over whole routes of a run (trade: The job). The usual route of each way is tried first, then those beside it;
 * the quickest that is sound wins.
 */
export class Search {
  readonly prepared: Prepared;
  readonly tried: Tried[] = [];
  /** What came of each, by its word. */
  private readonly known = new Map<string, Result<Route>>();
  /** The space as it was listed last, with how many things it was wanted for. */
  private listed: { wants: number; routes: readonly Skeleton[] } | undefined;
  private readonly judged = new Map<Route, Judged>();
  /** Whether everything in the space was tried; whether that, or as much as is looked at. */
  private isWhole = false;
  private isSettled = false;

  private readonly run: Run;

  constructor(run: Run) {
    this.run = withDecided(run);
    this.prepared = prepare(run);
  }

  isOpen(way: Way): boolean {
    return takesWay(this.run.stock, way) && (this.run.way === 'choose' || this.run.way === way);
  }

  /** Routes beside the usual ones, the plainest first; what those before were refused for says where to look. */
  private space(): readonly Skeleton[] {
    const wants = new Set(
      this.tried.flatMap(({ result }) => (result.ok ? [] : result.problems.map((problem) => problem.wants))),
    );
    if (this.listed?.wants !== wants.size)
      this.listed = {
        wants: wants.size,
        routes: WAYS.filter((way) => this.isOpen(way))
          .flatMap((way) => otherSkeletons(this.run, way, wants))
          .toSorted((a, b) => rankOf(a) - rankOf(b)),
      };
    return this.listed.routes;
  }

  /** Whether a route was not tried yet and could be a new one. */
  private isNew(skeleton: Skeleton): boolean {
    if (this.known.has(keyOf(skeleton)) || this.isPointless(skeleton)) return false;
    const { end, ...either } = skeleton;
    const result = end && this.known.get(keyOf(either));
    // The back first is nothing new where it is worked first anyway.
    return !(result?.ok === true && result.value.setups[0]?.setup.end === end);
  }

  /** The plainest that is new. */
  private next(): Skeleton | undefined {
    return this.space().find((skeleton) => this.isNew(skeleton));
  }

  /** Whether both sides were to be held alike, and what holds the second could not hold the first, or does. */
  private isPointless({ alike, ...heldSo }: Skeleton): boolean {
    if (!alike) return false;
    const base = this.known.get(keyOf(heldSo));
    return !base?.ok || !couldBeAlike(base.value);
  }

  /**
   * A route like one that was looked at, where the other end makes something instead: what the proof found wrong, or what of
   * the best is nearer to that end.
   */
  private otherEnded(): Skeleton | undefined {
    const best = this.best();
    for (const judged of this.judged.values()) {
      const isBest = best.ok && best.value === judged;
      const later = isBest && isSound(judged) ? nearerToOther(judged.route) : mendedAtOther(judged.route, judged.proof);
      const skeleton = { ...judged.route.skeleton, later };
      if (later.length > 0 && !this.known.has(keyOf(skeleton))) return skeleton;
    }
    return undefined;
  }

  try(skeleton: Skeleton): void {
    const result = planRoute(this.prepared, skeleton);
    this.tried.push({ skeleton, result });
    this.known.set(keyOf(skeleton), result);
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
    const doubts = doubtsOf(this.run, route.setups, route.made);
    const isLost = (index: number) => {
      const found = route.taken.find((overrule) => overrule.index === index);
      return !found || found.state === 'cannot';
    };
    const lost = this.run.overrules.filter((_, index) => isLost(index)).length;
    const judged = { route, lost, doubts, proof: proofOf({ ...route, run: this.run, doubts }) };
    this.judged.set(route, judged);
    return judged;
  }

  private planned(way?: Way): Route[] {
    return this.tried.flatMap(({ skeleton, result }) =>
      result.ok && (way === undefined ? this.isOpen(skeleton.way) : skeleton.way === way) ? [result.value] : [],
    );
  }

  /** The best sound one; of those that are none, the one with least that is wrong, and of equal ones the best. */
  private bestAmong(routes: readonly Route[]): Judged | undefined {
    const quickest = routes.toSorted((a, b) => a.worth - b.worth);
    const judged: Judged[] = [];
    for (const route of quickest) {
      const looked = this.judge(route);
      if (isSound(looked)) return looked;
      judged.push(looked);
    }
    return judged.toSorted((a, b) => lessWrong(wrongIn(a), wrongIn(b)))[0];
  }

  /** The best so far of the ways that the run leaves open: the house's where that is sound, else of all. */
  best(): Result<Judged> {
    const house = HOUSE_WAY[this.run.shop.houseRules.stock];
    const judged = house && this.isOpen(house) ? this.bestAmong(this.planned(house)) : undefined;
    const best = judged && isSound(judged) ? judged : this.bestAmong(this.planned());
    if (best) return good(best);
    // The plainest say most about what is missing.
    const open = this.tried.filter(({ skeleton }) => this.isOpen(skeleton.way));
    const plain = open.filter(({ skeleton }) => isPlain(skeleton));
    return bad(...refusalsOf(plain.length > 0 ? plain : open));
  }

  /** How the others compare with the route that is taken, the quickest sound ones first. */
  answered(best: Judged): Answered {
    const others = this.tried.flatMap((attempt): Compared[] =>
      attempt.result.ok && attempt.result.value === best.route ? [] : [this.compare(attempt, best)],
    );
    const taken = { ...figuresOf(best.route, best.route), because: 'slower' } as const;
    const better = this.best();
    const offered = this.tried.find(({ result }) => result.ok && better.ok && result.value === better.value.route);
    const isKept = better.ok && better.value !== best && better.value.route.worth < best.route.worth - 1e-9;
    const rank = ({ because, batchMinutes = Infinity }: Compared) =>
      (because === 'refused' ? 2 : ['slower', 'dearer', 'riskier', 'quicker'].includes(because) ? 0 : 1) * 1e9 +
      batchMinutes;
    return {
      tried: this.tried.length,
      setups: this.tried.reduce((sum, { result }) => sum + (result.ok ? result.value.setups.length : 0), 0),
      proven: this.isWhole,
      ...this.gapTo(best),
      best: WAYS.flatMap((way) => {
        const outcome = this.outcomeOf(way);
        // What would be quicker and was not taken is not sound.
        return outcome?.ok && outcome.value.worth >= best.route.worth - 1e-9 ? [outcome.value.skeleton] : [];
      }),
      runnersUp: others
        .toSorted((a, b) => rank(a) - rank(b))
        .filter(
          (other, index, all) => all.findIndex((one) => isSameAs(one, other)) === index && !isSameAs(other, taken),
        )
        .slice(0, RUNNERS_UP)
        .map((told) => this.draw(this.proved(told, best))),
      ...(isKept && offered ? { offered: this.draw(this.compare(offered, best)) } : {}),
    };
  }

  /** How far a route that was not tried could lie below the best, by its bound; once it is settled. */
  private gapTo({ route }: Judged): Pick<Answered, 'gap'> {
    if (!this.isSettled) return {};
    const bounds = this.space()
      .filter((skeleton) => this.isNew(skeleton))
      .map((skeleton) => boundOf(this.prepared, skeleton));
    const least = Math.min(route.worth, ...bounds);
    return { gap: (route.worth - least) / route.worth };
  }

  /** What is told once it is settled can be taken: a slower one is looked at before that is said of it. */
  private proved(told: Compared, best: Judged): Compared {
    const tried = this.tried.find(({ skeleton }) => skeleton === told.skeleton);
    if (!this.isSettled || !tried?.result.ok || isSound(this.judge(tried.result.value))) return told;
    return this.compareJudged(tried.result.value, best);
  }

  private draw(told: Compared): Compared {
    const tried = this.tried.find(({ skeleton }) => skeleton === told.skeleton);
    return tried?.result.ok ? { ...told, drawn: drawnSmall(tried.result.value.setups) } : told;
  }

  /** What a sound route lost by: time, money where the house counts that, or what its risks weigh. */
  private slower(figures: Omit<Compared, 'because'>, { risks }: Route): Compared {
    if ((figures.lostBy ?? 0) >= 0) return { ...figures, because: 'slower' };
    return this.run.shop.houseRules.worth === 'money'
      ? { ...figures, because: 'dearer' }
      : { ...figures, because: 'riskier', risks };
  }

  private compare({ skeleton, result }: Tried, best: Judged): Compared {
    if (!result.ok)
      return { skeleton, because: 'refused', ...(result.problems[0] ? { problem: result.problems[0] } : {}) };
    const figures = figuresOf(result.value, best.route);
    // What is slower than a sound one has lost by that alone: nobody asks for its proof, but of the few that are told.
    if (result.value.worth >= best.route.worth && isSound(best)) return this.slower(figures, result.value);
    return this.compareJudged(result.value, best);
  }

  /** The same by all that is known of a route, its proof as well. */
  private compareJudged(route: Route, best: Judged): Compared {
    const figures = figuresOf(route, best.route);
    const judged = this.judge(route);
    const [fault] = judged.proof.faults;
    if (judged.lost > best.lost) return { ...figures, because: 'undecided' };
    if (wrongIn(judged).bare > wrongIn(best).bare) return { ...figures, because: 'bare' };
    if (fault) return { ...figures, because: 'not-proved', fault };
    if (wrongIn(judged).untrue > 0) return { ...figures, because: 'untrue' };
    return { ...figures, because: figures.lostBy >= 0 ? 'slower' : 'quicker' };
  }

  /** What came of a way, at its best. */
  outcomeOf(way: Way): Result<Route> | undefined {
    const [only, ...more] = this.planned(way);
    if (only && more.length === 0) return good(only);
    const best = this.bestAmong(this.planned(way));
    return best ? good(best.route) : this.tried.find(({ skeleton }) => skeleton.way === way)?.result;
  }

  /** Set-ups that were planned through, and routes that were refused. */
  private get work(): number {
    return this.tried.reduce((sum, { result }) => sum + (result.ok ? result.value.setups.length : 1), 0);
  }

  /** Whether a route is one of those that the run leaves open. */
  private isInSpace(skeleton: Skeleton): boolean {
    const all: Wants = new Set<Problem['wants']>(['room', 'stock', 'halves', 'end']);
    const { way } = skeleton;
    const begins = keyOf({ ...skeleton, later: [] });
    return (
      this.isOpen(way) && [usual(way), ...otherSkeletons(this.run, way, all)].some((other) => keyOf(other) === begins)
    );
  }

  /** What is tried before all others: the route that is shown, and the usual one of each way. */
  private begin(ways: readonly Way[], { only, first }: Searching): readonly Skeleton[] {
    if (only) return only;
    const usuals = ways.filter((way) => takesWay(this.run.stock, way)).map(usual);
    const shown = first && namedBy(this.run, first);
    if (!shown || !this.isInSpace(shown)) return usuals;
    return [shown, ...usuals.filter((skeleton) => keyOf(skeleton) !== keyOf(shown))];
  }

  /**
   * Tries routes, a step for each: what comes first, then others, the plainest before the rest. It ends when all were tried,
   * or after so many set-ups: work is counted and not timed, so that everybody gets the same answer.
   */
  *steps(ways: readonly Way[], searching: Searching = {}): Generator<void, void> {
    const { only, first, until = 'settled', most = MOST_SETUPS, goOn = () => this.work < most } = searching;
    for (const [index, skeleton] of this.begin(ways, searching).entries()) {
      if (index > 0) {
        if (until === 'sound' && first && this.hasSound()) return;
        yield;
      }
      this.try(skeleton);
    }
    if (only) return;
    let next = this.next();
    for (; next; next = this.next()) {
      if (until === 'sound' && this.hasSound()) return;
      if (!goOn()) break;
      yield;
      this.try(next);
    }
    let other = this.otherEnded();
    for (; other && goOn(); other = this.otherEnded()) {
      if (until === 'sound' && this.hasSound()) return;
      yield;
      this.try(other);
    }
    this.isWhole = next === undefined && other === undefined;
    this.isSettled = true;
  }

  /** Whether one of the routes that were tried is sound. */
  hasSound(): boolean {
    const best = this.best();
    return best.ok && isSound(best.value);
  }

  /** What came of a route, where it is sound. */
  soundBy(shown: Skeleton): Judged | undefined {
    const skeleton = namedBy(this.run, shown);
    if (!this.isInSpace(skeleton)) return undefined;
    const tried = this.tried.find((attempt) => keyOf(attempt.skeleton) === keyOf(skeleton));
    const judged = tried?.result.ok ? this.judge(tried.result.value) : undefined;
    return judged && isSound(judged) ? judged : undefined;
  }
}

/** Every route of a run that was tried, and the first thing that stopped it. */
export function routesTried(run: Run): { skeleton: Skeleton; problem: Problem | undefined }[] {
  const search = new Search(run);
  for (
    const steps = search.steps(
      WAYS.filter((way) => search.isOpen(way)),
      { until: 'sound' },
    );
    !steps.next().done;
  );
  return search.tried.map(({ skeleton, result }) => ({
    skeleton,
    problem: result.ok ? undefined : result.problems[0],
  }));
}

/** Minutes over the batch by the best of some routes, the house's way before others; undefined where none can be. */
export function batchBy(run: Run, routes: readonly Skeleton[]): number | undefined {
  const prepared = prepare(run);
  const planned = routes.flatMap((skeleton) => {
    const route = planRoute(prepared, skeleton);
    return route.ok ? [route.value] : [];
  });
  const house = planned.filter(({ way }) => way === HOUSE_WAY[run.shop.houseRules.stock]);
  const [best] = (house.length > 0 ? house : planned).toSorted((a, b) => a.worth - b.worth);
  return best && batchOf(best);
}
