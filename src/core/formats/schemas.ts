import Joi from 'joi';
import type { Machine, Shop } from '../shop/shop';
import { startValues } from '../shop/startValues';
import type { RunFile } from './runFile';

/** One schema per shape; the published JSON Schemas are made from these (`npm run schemas`). */

const text = (most: number) => Joi.string().allow('').max(most);
const number = () => Joi.number().strict();
const positive = () => number().positive();

/** A number in the units of the file, or text with a unit of its own. What the text means is read later. */
const length = () => Joi.alternatives(number(), text(60));

const size = () =>
  Joi.alternatives(
    number(),
    text(60),
    Joi.object({ size: length().required(), fit: text(4), limits: Joi.array().items(length()).length(2) }).oxor(
      'fit',
      'limits',
    ),
  );

const notPlanned = (what: string, instead: string) => ({
  'any.only': `“{#value}” is not planned yet: this version plans ${what}; ${instead}`,
});

const later = (what: string) =>
  Joi.forbidden().messages({ 'any.unknown': `${what} is not planned yet; remove it from the file` });

const holding = Joi.object({
  from: positive().required(),
  upTo: positive().required(),
  length: positive().required(),
  runOut: number().min(0).required(),
});

export const machineSchema = Joi.object<Machine>({
  id: Joi.string().max(60).required(),
  name: Joi.string().max(120).required(),
  swing: positive().required(),
  betweenCentres: positive().required(),
  spindleBore: positive().required(),
  speeds: Joi.array().items(positive()).min(1).required(),
  feeds: Joi.array().items(positive()).min(1).required(),
  motorKilowatts: positive().required(),
  efficiency: positive().max(1).required(),
  stations: number().integer().min(0).required(),
  quillTravel: positive().required(),
  readOut: Joi.string().valid('diameter', 'radius').required(),
  jaws: holding.required(),
  collets: holding.required(),
});

const allowances = Joi.object(
  Object.fromEntries(
    ['frontFacing', 'backFacing', 'firstEnd', 'bladeWidth', 'kerf', 'gripRemnant', 'jawClearance', 'breakthrough'].map(
      (key) => [key, length()],
    ),
  ),
);

const step = Joi.object({
  shape: Joi.string().valid('cylinder').required().messages(notPlanned('cylinders', 'give the outside as cylinders')),
  diameter: size().required(),
  length: size().required(),
  name: text(60),
  roughness: Joi.alternatives(positive(), text(20)),
  chamfers: Joi.object({ front: length(), back: length() }),
  critical: Joi.boolean().strict(),
});

const detail = Joi.object({
  kind: Joi.string().valid('chamfer').required().messages(notPlanned('chamfers', 'leave the rest out')),
  at: length().required(),
  size: length().required(),
  side: Joi.string().valid('front', 'back'),
});

const bore = Joi.object({
  from: Joi.string()
    .valid('front')
    .required()
    .messages(notPlanned('holes from the front', 'turn the part round if that is its only side')),
  shape: Joi.string().valid('drill').required().messages(notPlanned('drilled holes', 'give the drilled size')),
  diameter: size().required(),
  depth: length().required(),
});

export const runFileSchema = Joi.object<RunFile>({
  format: Joi.string()
    .valid('shingle-run/1')
    .required()
    .messages({ 'any.only': '“{#value}” is not a run file that can be read; it must be shingle-run/1' }),
  units: Joi.string().valid('mm', 'in').default('mm'),
  part: Joi.object({
    number: text(60).required(),
    name: text(120),
    revision: text(20),
    material: text(60).required(),
    generalTolerance: Joi.string().valid('fine', 'medium'),
    outside: Joi.array().items(step).max(200).required(),
    details: Joi.array().items(detail).max(400),
    bores: Joi.array().items(bore).max(50),
    runout: later('run-out between surfaces'),
  }).required(),
  quantity: Joi.alternatives(number(), text(20)).required(),
  due: Joi.string()
    .allow('')
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .messages({ 'string.pattern.base': '“{#value}” is not a day; write it as 2026-12-04' }),
  stock: Joi.alternatives(
    Joi.string().valid('choose'),
    Joi.object({
      form: Joi.string()
        .valid('round')
        .messages(notPlanned('round bar', 'give round bar or leave the stock to be chosen')),
      size: length().required(),
      condition: Joi.string().valid('drawn', 'hot-rolled'),
      barLength: length(),
    }),
  ),
  way: Joi.string().valid('choose', 'from-bar', 'sawn-blanks'),
  allowances,
  machine: Joi.alternatives(text(60), machineSchema),
  rules: Joi.object({
    centreDrill: Joi.string().valid('always', 'slender-only'),
    pilot: Joi.string().valid('tough-over-12', 'never'),
    stickOut: Joi.string().valid('1.5d', '4d'),
    batchOrder: Joi.string().valid('piece-by-piece').messages(notPlanned('piece by piece', 'leave it out')),
  }),
}).required();

const table = () => Joi.object().pattern(Joi.string(), number().min(0));

/** Every number that a shop starts with is one that the planner uses: none may be missing. */
const valuesOf = (start: object) =>
  Joi.object(
    Object.fromEntries(
      Object.entries(start).map(([key, value]) => [
        key,
        (typeof value === 'number' ? number().min(0) : table()).required(),
      ]),
    ),
  ).required();

export const shopSchema = Joi.object<Shop>({
  materials: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().required(),
        name: Joi.string().required(),
        density: positive().required(),
        speed: Joi.object({ hss: positive().required(), carbide: positive().required() }).required(),
        force: Joi.object({ kc: positive().required(), m: number().min(0).max(1).required() }).required(),
        deepestCut: positive().required(),
        drillFeed: positive().required(),
        tough: Joi.boolean().required(),
        stringy: Joi.boolean().required(),
        caution: Joi.string(),
        bars: Joi.array()
          .items(
            Joi.object({
              condition: Joi.string().valid('drawn', 'hot-rolled').required(),
              units: Joi.string().valid('mm', 'in').required(),
              sizes: Joi.array().items(Joi.string()).required(),
              barLength: Joi.string().required(),
            }),
          )
          .required(),
      }),
    )
    .min(1)
    .required(),
  machines: Joi.array().items(machineSchema).min(1).required(),
  tools: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().required(),
        name: Joi.string().required(),
        does: Joi.array().items(Joi.string()).required(),
        edge: Joi.string().valid('hss', 'carbide').required(),
        mount: Joi.string().valid('post', 'tailstock').required(),
        offset: number().required(),
        nose: positive(),
        thinnestCut: positive(),
        diameter: positive(),
        point: positive().max(180),
        flute: positive(),
        width: positive(),
        reach: positive(),
        touched: Joi.string().valid('left', 'right'),
      }),
    )
    .required(),
  allowances: valuesOf(startValues.allowances),
  cutting: valuesOf(startValues.cutting),
  handMinutes: valuesOf(startValues.handMinutes),
  setupMinutes: valuesOf(startValues.setupMinutes),
  timeAllowance: number().min(0).required(),
  gauges: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().required(),
        repeats: positive().required(),
        minutes: number().min(0).required(),
        measures: Joi.array()
          .items(Joi.string().valid('outside', 'inside', 'length'))
          .required(),
      }),
    )
    .required(),
  checkEvery: Joi.object({
    general: positive().integer().required(),
    toleranced: positive().integer().required(),
  }).required(),
  houseRules: Joi.object({
    centreDrill: Joi.string().valid('always', 'slender-only').required(),
    pilot: Joi.string().valid('tough-over-12', 'never').required(),
    stickOut: Joi.string().valid('1.5d', '4d').required(),
  }).required(),
}).required();
