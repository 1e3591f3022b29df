import { MADE_HOLDERS, PACES } from '../model/shop/machine';
import Joi from 'joi';
import type { Shop } from '../model/shop/shop';
import { FLUIDS } from '../model/shop/material';
import { MEASURED } from '../model/shop/tool';
import { startValues } from '../model/shop/startValues';
import { machineSchema } from './machineSchema';
import { CONDITIONS, FORMS, NOT_NEGATIVE, NUMBER, POSITIVE, schools, text } from './schemaParts';

const TABLE = Joi.object().pattern(Joi.string(), NOT_NEGATIVE);

/** Every number that a shop starts with is one that the planner uses: none may be missing. */
const valuesOf = (start: object) =>
  Joi.object(
    Object.fromEntries(
      Object.entries(start).map(([key, value]) => [key, (typeof value === 'number' ? NOT_NEGATIVE : TABLE).required()]),
    ),
  ).required();

const EDGE_LIFE = Joi.object({
  life: POSITIVE.required(),
  exponent: POSITIVE.less(1).required(),
  cost: NOT_NEGATIVE.required(),
  change: NOT_NEGATIVE.required(),
  thinnest: POSITIVE.required(),
});

const SPREAD = Joi.object({ down: NOT_NEGATIVE.less(1).required(), up: NOT_NEGATIVE.required() }).required();

export const shopSchema = Joi.object<Shop>({
  materials: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().required(),
        name: Joi.string().required(),
        density: POSITIVE.required(),
        elasticity: POSITIVE,
        expansion: POSITIVE,
        speed: Joi.object({ hss: POSITIVE.required(), carbide: POSITIVE.required() }).required(),
        force: Joi.object({ kc: POSITIVE.required(), m: NOT_NEGATIVE.max(1).required() }).required(),
        deepestCut: POSITIVE.required(),
        drillFeed: POSITIVE.required(),
        tough: Joi.boolean().required(),
        stringy: Joi.boolean().required(),
        fluid: Joi.string().valid(...FLUIDS),
        fluidShutIn: Joi.string().valid(...FLUIDS),
        caution: Joi.string(),
        supplier: Joi.string().max(120),
        deliveryDays: Joi.number().integer().min(0).max(400),
        bars: Joi.array()
          .items(
            Joi.object({
              form: Joi.string()
                .valid(...FORMS)
                .required(),
              condition: Joi.string()
                .valid(...CONDITIONS)
                .required(),
              units: Joi.string().valid('mm', 'in').required(),
              sizes: Joi.array().items(Joi.string()).required(),
              barLength: Joi.string().required(),
              pricePerKilogram: NOT_NEGATIVE.required(),
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
        archived: Joi.boolean().strict(),
        mount: Joi.string().valid('post', 'tailstock', 'hand').required(),
        offset: NUMBER.required(),
        ahead: NOT_NEGATIVE,
        holder: NOT_NEGATIVE,
        hand: Joi.string().valid('right', 'left'),
        place: POSITIVE.integer(),
        nose: POSITIVE,
        thinnestCut: POSITIVE,
        diameter: POSITIVE,
        point: POSITIVE.max(180),
        flute: POSITIVE,
        least: POSITIVE,
        deep: POSITIVE,
        slope: POSITIVE.max(90),
        pitch: POSITIVE,
        pattern: Joi.string().valid('straight', 'diamond'),
        wheels: Joi.number().integer().valid(1, 2),
        hollowEdge: POSITIVE,
        width: POSITIVE,
        reach: POSITIVE,
        clearsFrom: POSITIVE,
        clearsUpTo: POSITIVE,
        touched: Joi.string().valid('left', 'right'),
      }),
    )
    .required(),
  allowances: valuesOf(startValues.allowances),
  cutting: valuesOf(startValues.cutting),
  holdings: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string()
          .valid(...startValues.holdings.map(({ kind }) => kind))
          .required(),
        from: POSITIVE.required(),
        upTo: POSITIVE.required(),
        length: POSITIVE.required(),
        runOut: NOT_NEGATIVE.required(),
        load: NOT_NEGATIVE.required(),
        change: NOT_NEGATIVE.required(),
      }),
    )
    .unique('kind')
    .required(),
  holders: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().max(60).required(),
        kind: Joi.string()
          .valid(...MADE_HOLDERS)
          .required(),
        diameter: POSITIVE.required(),
        thread: Joi.string().allow('').max(20),
        place: Joi.string().allow('').max(40),
      }),
    )
    .max(200)
    .unique('name')
    .required(),
  handMinutes: valuesOf(startValues.handMinutes),
  setupMinutes: valuesOf(startValues.setupMinutes),
  outside: valuesOf(startValues.outside),
  stops: valuesOf(startValues.stops),
  timeAllowance: NOT_NEGATIVE.required(),
  gauges: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().required(),
        repeats: POSITIVE.required(),
        minutes: NOT_NEGATIVE.required(),
        from: NOT_NEGATIVE,
        upTo: POSITIVE,
        measures: Joi.array()
          .items(Joi.string().valid(...MEASURED))
          .required(),
      }),
    )
    .required(),
  checkEvery: Joi.object({
    general: POSITIVE.integer().required(),
    toleranced: POSITIVE.integer().required(),
  }).required(),
  houseRules: Joi.object(schools((school) => school.required())).required(),
  spares: Joi.object({
    firstOff: NUMBER.integer().min(0).required(),
    noneUpTo: NUMBER.integer().min(0).required(),
    scrapShare: NOT_NEGATIVE.max(1).required(),
  }).required(),
  fits: Joi.array()
    .items(
      Joi.object({
        purpose: Joi.string().max(40).required(),
        means: Joi.string().max(120).required(),
        pairs: Joi.array()
          .items(
            Joi.object({ hole: text(4).required(), shaft: text(4).required(), when: Joi.string().max(120).required() }),
          )
          .min(1)
          .required(),
      }),
    )
    .required(),
  rates: Joi.object({
    currency: Joi.string().max(8).required(),
    machineHour: NOT_NEGATIVE.required(),
    order: NOT_NEGATIVE.required(),
  }).required(),
  toGet: valuesOf(startValues.toGet),
  edges: Joi.object({ hss: EDGE_LIFE.required(), carbide: EDGE_LIFE.required() }).required(),
  programmed: valuesOf(startValues.programmed),
  bodies: valuesOf(startValues.bodies),
  riskPrices: valuesOf(startValues.riskPrices),
  lathe: valuesOf(startValues.lathe),
  paces: Joi.object(Object.fromEntries(PACES.map((pace) => [pace, valuesOf(startValues.paces[pace])]))).required(),
  spreads: Joi.object({ cutting: SPREAD, hand: SPREAD, setup: SPREAD }).required(),
}).required();
