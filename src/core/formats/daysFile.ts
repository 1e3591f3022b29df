import Joi from 'joi';
import { stretchesOf, type DaysFile, type Split } from '../schedule/days';
import { MOST_PARTS } from '../schedule/parts';
import { START_TRYING } from '../schedule/startDays';
import type { Result } from '../model/result';
import { checkShape } from '../read/problems';

const day = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}$/u)
  .custom((value: string, helpers) =>
    Number.isNaN(Date.parse(value)) || new Date(value).toISOString().slice(0, 10) !== value
      ? helpers.error('any.invalid')
      : value,
  )
  .messages({ 'string.pattern.base': 'must be a day as 2026-12-24', 'any.invalid': 'must be a day that there is' });

const span = { from: day.required(), to: day.required() };
const spans = Joi.array().items(
  Joi.object(span)
    .custom((value: { from: string; to: string }, helpers) =>
      value.to < value.from ? helpers.error('any.invalid') : value,
    )
    .messages({ 'any.invalid': 'ends before it begins' }),
);

const hours = Joi.string()
  .allow('')
  .max(80)
  .custom((value: string, helpers) => (stretchesOf(value) === undefined ? helpers.error('any.invalid') : value))
  .messages({ 'any.invalid': 'must be hours in their order, as 07:00-12:00 12:30-15:30' });

const id = Joi.number().integer().min(1);
/** A run, or 12.1 for the second part of run 12, 12.2 for its third. */
const inOrder = Joi.number().min(1).multiple(0.1);
const lathe = Joi.string().max(60);
/** A lathe, or two with a semicolon between them. */
const stands = Joi.string()
  .max(121)
  .pattern(/^[^;]*;?[^;]*$/u)
  .messages({ 'string.pattern.base': 'must be a lathe, or two with a semicolon between them' });
const rising = (least: number, most: number) =>
  Joi.array()
    .items(Joi.number().integer().min(least).max(most))
    .min(1)
    .max(MOST_PARTS - 1)
    .custom((value: number[], helpers) =>
      value.every((one, index) => index === 0 || one > (value[index - 1] ?? 0)) ? value : helpers.error('any.invalid'),
    )
    .messages({ 'any.invalid': 'must rise from one to the next' })
    .required();
const lathes = Joi.array()
  .items(lathe.allow(''))
  .max(MOST_PARTS - 1);

/** As a run in two parts was written before there were more. */
interface InTwo {
  at: Split['at'];
  first?: number;
  second?: number;
  lathe?: string;
}
const fromTwo = ({ at, first, second, lathe: other }: InTwo): Split => ({
  at,
  from: [first ?? second ?? 1],
  ...(other === undefined ? {} : { lathes: [other] }),
});
const split = Joi.alternatives()
  .try(
    Joi.object({ at: Joi.valid('pieces').required(), from: rising(1, 1_000_000), lathes }),
    Joi.object({ at: Joi.valid('setup').required(), from: rising(2, 20), lathes }),
    Joi.object({ at: Joi.valid('pieces').required(), first: id.max(1_000_000).required(), lathe }).custom(fromTwo),
    Joi.object({ at: Joi.valid('setup').required(), second: id.min(2).max(20).required(), lathe }).custom(fromTwo),
  )
  .messages({ 'alternatives.match': 'is split at so many pieces, or before set-ups from the second on, rising' });

/** When the shop works and what is decided of its runs, `shingle-days/1`. */
export const daysSchema = Joi.object<DaysFile>({
  format: Joi.valid('shingle-days/1').required(),
  people: Joi.array()
    .max(50)
    .items(
      Joi.object({
        name: Joi.string().trim().min(1).max(60).required(),
        hours: Joi.array().length(7).items(hours).required(),
        away: spans.max(200).required(),
        stands: Joi.array().length(7).items(stands.allow('')).required(),
      }),
    )
    .unique('name')
    .required(),
  closed: spans.max(400).required(),
  service: Joi.array()
    .max(200)
    .items(Joi.object({ lathe: lathe.required(), ...span }))
    .required(),
  runs: Joi.array()
    .max(2000)
    .items(
      Joi.object({
        run: id.required(),
        weight: Joi.number().min(0).max(1000),
        release: day,
        day,
        lathe,
        split,
        after: Joi.array().items(id).max(50),
        outsideDays: Joi.number().min(0).max(400),
      }),
    )
    .unique('run')
    .required(),
  order: Joi.array()
    .max(100)
    .items(Joi.object({ lathe: lathe.required(), runs: Joi.array().items(inOrder).max(2000).unique().required() }))
    .unique('lathe')
    .required(),
  sureFrom: Joi.number().min(0.05).max(1).default(START_TRYING.sureFrom),
  overtime: Joi.number().integer().min(0).max(720).default(START_TRYING.overtime),
  toolDays: Joi.number().integer().min(0).max(400).default(START_TRYING.toolDays),
  between: Joi.number().integer().min(0).max(10_000).default(START_TRYING.between),
});

/** Reads the days of a shop from a file, a request or the database. */
export const readDays = (value: unknown): Result<DaysFile> => checkShape(daysSchema, value);
