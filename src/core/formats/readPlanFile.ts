import { good, refuse, type Result } from '../model/result';
import type { Run } from '../model/run';
import type { WrittenPlan } from '../plan/proof/written';
import { checkShape } from '../read/problems';
import { planFileSchema } from './planFileSchema';

/** What the proof does not ask a plan file for. */
const BESIDE = ['part', 'edges', 'overrules', 'lengths', 'outside', 'time', 'warnings', 'proof'];

const provenSchema = planFileSchema.fork(BESIDE, (schema) => schema.optional());

/** A plan file of unknown make, for the run that it is said to be of; or what is wrong with it, by path. */
export function readPlanFile(value: unknown, { part }: Run): Result<WrittenPlan> {
  const read = checkShape(provenSchema, value);
  if (!read.ok) return read;
  const { run } = read.value;
  return run.part === part.number
    ? good(read.value)
    : refuse('run.part', `is a plan of “${run.part}”, and the run is of “${part.number}”`);
}
