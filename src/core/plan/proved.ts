import type { Run } from '../model/run';
import type { Proof } from './proof/faults';
import { prove } from './proof/prove';
import { writtenPlan, type WrittenFrom } from './written';

/** Runs a plan on an exact workpiece, from what its file says of it. For a plan that is about to be shown. */
export const proofOf = (plan: WrittenFrom & { run: Run }): Proof => prove(writtenPlan(plan), plan.run);
