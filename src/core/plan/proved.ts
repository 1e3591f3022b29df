import type { Plan } from './plan';
import type { Proof } from './proof/faults';
import { prove } from './proof/prove';
import { writtenPlan } from './written';

/** Runs a plan on an exact workpiece, from what its file says of it. For a plan that is about to be shown. */
export const proofOf = (plan: Plan): Proof => prove(writtenPlan(plan), plan.run);
