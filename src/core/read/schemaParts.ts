import Joi from 'joi';
import { houseQuestions } from '../model/shop/houseRules';

/**
 * What the schemas of run, part and shop are put together from. Each is made once: a schema never changes, and making one
 * takes longer than asking it.
 */

const texts = new Map<number, Joi.StringSchema>();

export const text = (most: number): Joi.StringSchema => {
  const known = texts.get(most) ?? Joi.string().allow('').max(most);
  texts.set(most, known);
  return known;
};

export const NUMBER = Joi.number().strict();
export const POSITIVE = NUMBER.positive();
export const NOT_NEGATIVE = NUMBER.min(0);

/** A number in the units of the file, or text with a unit of its own. What the text means is read later. */
export const LENGTH = Joi.alternatives(NUMBER, text(60));

export const SIZE = Joi.alternatives(
  NUMBER,
  text(60),
  Joi.object({
    size: LENGTH.required(),
    fit: text(4),
    limits: Joi.array().items(LENGTH).length(2),
    free: Joi.valid(true),
    about: Joi.valid(true),
  }).oxor('fit', 'limits', 'free', 'about'),
);

/** Of an operation, a tool, a holding. */
export const KEY = Joi.string().max(120);

export const FORMS = ['round', 'hex', 'square', 'tube'];
export const CONDITIONS = ['drawn', 'ground', 'hot-rolled', 'sawn'];

/** A school for each question of the house. */
export const schools = (needed: (school: Joi.StringSchema) => Joi.StringSchema) =>
  Object.fromEntries(
    houseQuestions.map(({ rule, schools: known }) => [
      rule,
      needed(Joi.string().valid(...known.map(({ value }) => value))),
    ]),
  );
