import Joi from 'joi';
import { RUN_STATES, type RunState } from '../model/runState';
import type { Result } from '../model/result';
import { checkShape } from '../read/problems';

/** What is asked of the states of some runs: each its new one, and which device says so. */
export interface StateChange {
  runs: { id: number; state: RunState }[];
  by?: string;
}

const schema = Joi.object<StateChange>({
  runs: Joi.array()
    .items(
      Joi.object({
        id: Joi.number().integer().positive().required(),
        state: Joi.string()
          .valid(...RUN_STATES)
          .required(),
      }),
    )
    .min(1)
    .max(200)
    .unique('id')
    .required(),
  by: Joi.string().allow('').max(60),
});

/** Reads a change of states, or says what is wrong with it and where. */
export const readStateChange = (value: unknown): Result<StateChange> => checkShape(schema, value);
