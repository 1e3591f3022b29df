import Joi from 'joi';
import { CHANGED, SCRAP_REASONS, SIGNS, type LatheEvent } from '../lathe/events';
import type { Result } from '../model/result';
import { checkShape } from '../read/problems';

/** The most that are sent at once. */
export const MOST_EVENTS = 500;

const text = (most: number) => Joi.string().trim().min(1).max(most);
const figure = Joi.number().min(-10_000).max(10_000);

/** What each kind has beside what all have. */
const OF_KIND: Record<LatheEvent['kind'], Joi.SchemaMap> = {
  ready: { step: text(200).required(), done: Joi.boolean().required() },
  begun: {},
  done: {},
  measured: {
    what: text(120).required(),
    readings: Joi.array().items(figure).min(1).max(50).required(),
    size: figure.required(),
    gauge: text(60),
  },
  corrected: { place: text(80).required(), by: figure.required(), what: text(120) },
  paused: { note: text(500) },
  'went-on': {},
  scrap: { reason: Joi.valid(...SCRAP_REASONS).required(), note: text(500) },
  edge: { tool: text(80).required(), what: Joi.valid('changed', 'ground', 'broken').required() },
  bar: {
    item: Joi.number().integer().min(1),
    finished: Joi.number().integer().min(1),
    left: Joi.number().min(0).max(100_000),
  },
  sign: { sign: Joi.valid(...SIGNS).required() },
  tried: { sign: Joi.valid(...SIGNS).required(), cause: text(60).required(), helped: Joi.boolean().required() },
  changed: { what: Joi.valid(...CHANGED).required(), to: text(80).required() },
  note: { text: text(500).required() },
  struck: { event: Joi.string().uuid().required() },
};

const cases = Object.entries(OF_KIND).map(([kind, more]) => ({
  is: kind,
  then: Joi.object({
    id: Joi.string().uuid().required(),
    device: text(60).required(),
    seq: Joi.number().integer().min(0).required(),
    at: Joi.string().isoDate().required(),
    revision: Joi.number().integer().min(0).required(),
    shop: Joi.number().integer().min(1),
    piece: Joi.number().integer().min(1).max(100_000),
    operation: text(200),
    kind: Joi.valid(kind).required(),
    ...more,
  }),
}));

const eventSchema = Joi.alternatives().conditional('.kind', {
  switch: cases,
  otherwise: Joi.object({ kind: Joi.valid(...Object.keys(OF_KIND)).required() }).unknown(),
});

const schema = Joi.object<{ events: LatheEvent[] }>({
  events: Joi.array().items(eventSchema).min(1).max(MOST_EVENTS).unique('id').required(),
}).required();

/** Reads events as a device sends them, or says what is wrong with which of them. */
export const readEvents = (value: unknown): Result<{ events: LatheEvent[] }> => checkShape(schema, value);
