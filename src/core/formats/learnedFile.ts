import Joi from 'joi';
import { GROUP_WORDS, type LearnedRun } from '../lathe/learnFrom';
import type { Result } from '../model/result';
import { checkShape } from '../read/problems';

const figure = Joi.number().min(-5).max(5).required();
const spread = Joi.number().min(0).max(100).required();

const schema = Joi.object<Pick<LearnedRun, 'machine' | 'says'>>({
  machine: Joi.string().max(60).required(),
  says: Joi.object()
    .pattern(
      Joi.valid(...Object.keys(GROUP_WORDS)),
      Joi.object({
        mean: figure,
        variance: spread,
        within: spread,
        pieces: Joi.number().integer().min(1).max(100_000).required(),
      }),
    )
    .min(1)
    .required(),
}).required();

/** Reads what a run taught of its minutes, or says what is wrong with it and where. */
export const readLearned = (value: unknown): Result<Pick<LearnedRun, 'machine' | 'says'>> => checkShape(schema, value);
