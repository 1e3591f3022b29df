import Joi from 'joi';
import { GROUP_WORDS, type Taught } from '../lathe/learnFrom';
import type { Result } from '../model/result';
import { EDGES } from '../model/shop/material';
import { checkShape } from '../read/problems';

const figure = Joi.number().min(-5).max(5).required();
const spread = Joi.number().min(0).max(100).required();
const count = Joi.number().integer().min(0).max(100_000).required();
const money = Joi.number().min(0).max(1e9);

const schema = Joi.object<Taught>({
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
  edges: Joi.object().pattern(
    Joi.valid(...Object.keys(EDGES)),
    Joi.object({ lives: Joi.number().min(0).max(1e6).required(), worn: count }),
  ),
  cost: Joi.object({
    good: count,
    reckoned: money.required(),
    really: money.required(),
    soldAt: money,
    on: Joi.string()
      .pattern(/^\d{4}-\d{2}-\d{2}$/u)
      .required(),
  }),
}).required();

/** Reads what a run taught, or says what is wrong with it and where. */
export const readLearned = (value: unknown): Result<Taught> => checkShape(schema, value);
