import { PACES } from '../model/shop/machine';
import Joi from 'joi';
import type { Machine } from '../model/shop/shop';
import { NOT_NEGATIVE, NUMBER, POSITIVE } from './schemaParts';

const holding = Joi.object({
  from: POSITIVE.required(),
  upTo: POSITIVE.required(),
  length: POSITIVE.required(),
  runOut: NOT_NEGATIVE.required(),
  over: POSITIVE,
});

/** Teeth of a wheel. */
const TEETH = NUMBER.integer().min(8).max(400);

const DIAL = Joi.object({ travel: POSITIVE.required(), divisions: POSITIVE.integer().required() });

export const machineSchema = Joi.object<Machine>({
  id: Joi.string().max(60).required(),
  name: Joi.string().max(120).required(),
  swing: POSITIVE.required(),
  betweenCentres: POSITIVE.required(),
  spindleBore: POSITIVE.required(),
  longestBar: POSITIVE,
  bushAt: POSITIVE,
  tubeUpTo: POSITIVE,
  tubeSpeed: POSITIVE,
  speeds: Joi.array().items(POSITIVE).min(1).required(),
  feeds: Joi.array().items(POSITIVE).min(1).required(),
  motorKilowatts: POSITIVE.required(),
  efficiency: POSITIVE.max(1).required(),
  stations: NUMBER.integer().min(0).required(),
  spacers: Joi.array().items(POSITIVE).max(30),
  feelers: Joi.array().items(POSITIVE).max(30),
  presets: NUMBER.integer().min(0).max(1000),
  indicator: POSITIVE,
  crossStops: NUMBER.integer().min(0).max(20),
  quillStops: NUMBER.integer().min(0).max(20),
  post: Joi.object({
    kind: Joi.string().valid('quick-change', 'turret').required(),
    places: POSITIVE.integer().required(),
    step: POSITIVE.max(90),
  }),
  pace: Joi.string().valid(...PACES),
  trips: Joi.boolean(),
  runsBack: Joi.boolean(),
  protractor: Joi.string().valid('axis', 'square'),
  crossDial: DIAL,
  carriageDial: DIAL,
  compoundDial: DIAL,
  quillDial: DIAL,
  backlash: NOT_NEGATIVE,
  leadscrew: Joi.object({
    pitch: POSITIVE.required(),
    gears: Joi.array().items(TEETH).max(40).required(),
    pairs: Joi.object({
      least: POSITIVE.integer().required(),
      most: POSITIVE.integer().required(),
      clear: NOT_NEGATIVE.required(),
    }),
    tumbler: Joi.boolean(),
    dial: Joi.object({ wheel: TEETH.required(), lines: POSITIVE.integer().max(100).required() }),
    box: Joi.array()
      .items(Joi.object({ pitch: POSITIVE.required(), levers: Joi.string().max(40).required() }))
      .max(200),
  }),
  feedLevers: Joi.array().items(Joi.string().max(40)).max(200),
  quillTravel: POSITIVE.required(),
  compoundTravel: POSITIVE,
  compoundAhead: NOT_NEGATIVE,
  readOut: Joi.string().valid('diameter', 'radius', 'none').required(),
  rests: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string().valid('follow', 'fixed').required(),
        from: POSITIVE.required(),
        upTo: POSITIVE.required(),
        width: POSITIVE.required(),
      }),
    )
    .max(10),
  jaws: holding.required(),
  collets: holding.required(),
});
