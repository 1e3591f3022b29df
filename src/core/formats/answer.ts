// Apart from the planner, so that a page that shows answers does not bring what works them out.
import type { Mass } from '../model/part/mass';
import type { Part } from '../model/part/part';
import type { Plan } from '../plan/plan';
import type { Proof } from '../plan/proof/faults';
import type { Problem } from '../model/result';

/** What the page shows of a run while it is edited: the plan or what is in its way, and as much of the part as there is. */
export interface Answer {
  plan: Plan | undefined;
  /** What running it on an exact workpiece showed. */
  proof: Proof | undefined;
  problems: Problem[];
  sketch: Part | undefined;
  /** Of the sketch; of no weight as long as the material is not known. */
  mass: Mass | undefined;
}

/** How the route of a plan compares: all that others add to it, as long as none is taken instead. */
export type Comparing = Pick<Plan, 'skeleton' | 'way' | 'ways' | 'chosenBecause' | 'route'>;

/** How the route of a plan compares. */
export const comparingOf = ({ skeleton, way, ways, chosenBecause, route }: Plan): Comparing => ({
  skeleton,
  way,
  ways,
  chosenBecause,
  route,
});

/** An answer whose route compares so. */
export const comparedSo = (answer: Answer, comparing: Comparing): Answer =>
  answer.plan ? { ...answer, plan: { ...answer.plan, ...comparing } } : answer;
