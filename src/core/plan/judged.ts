import type { Problem, Result } from '../model/result';
import { WAY_BEGINS } from '../model/way';
import type { Doubt } from './doubts/doubt';
import type { Proof } from './proof/faults';
import type { Route } from './route';
import type { Skeleton } from './skeleton';

/** A route that was tried: planned through, or why not. */
export interface Tried {
  skeleton: Skeleton;
  result: Result<Route>;
}

/** A route that could be, with what it cannot promise and what its proof showed. */
export interface Judged {
  route: Route;
  /** How many overrules of the run it cannot keep, or has nothing for. */
  lost: number;
  doubts: Doubt[];
  proof: Proof;
}

const isBare = ({ rule }: Doubt): boolean => rule === 'NO-OPERATION';

/** A run-out of the drawing that its holding is not true enough for. */
const isUntrue = ({ rule }: Doubt): boolean => rule === 'SAME-SETUP';

/** How much of a route is not as it should be. */
export interface Wrong {
  /** Overrules that it does not keep. */
  lost: number;
  /** Features that nothing makes. */
  bare: number;
  /** What its proof found. */
  faults: number;
  /** Run-outs that it does not keep. */
  untrue: number;
}

/** What is not as it should be in a route. */
export const wrongIn = ({ doubts, proof, lost }: Judged): Wrong => ({
  lost,
  bare: doubts.filter(isBare).length,
  faults: proof.faults.length,
  untrue: doubts.filter(isUntrue).length,
});

/** Whether one route is less wrong than another: what was decided and what it leaves out count first, what is not true enough last. */
export const lessWrong = (a: Wrong, b: Wrong): number =>
  a.lost - b.lost || a.bare - b.bare || a.faults - b.faults || a.untrue - b.untrue;

/** Whether a route makes everything that is drawn, as true as it is drawn, and its proof bears it out. */
export const isSound = (judged: Judged): boolean =>
  lessWrong(wrongIn(judged), { lost: 0, bare: 0, faults: 0, untrue: 0 }) === 0;

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
