import { WAYS } from '../model/way';
import Joi from 'joi';
import type { Machine, Shop } from '../model/shop/shop';
import { houseQuestions } from '../model/shop/houseRules';
import { startValues } from '../model/shop/startValues';
import type { Field } from './fields';
import { ENTRY_KINDS, KIND_KEY, type EntryListName } from './entryKinds';
import type { PartFile, RunFile } from './runFile';

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

/** Of an operation, a tool, a holding. */
const key = () => Joi.string().max(120);

/** A face by its name, or a step by its number. */
const face = () => Joi.alternatives(number(), text(60));

const FORMS = ['round', 'hex', 'square', 'tube'];
const CONDITIONS = ['drawn', 'ground', 'hot-rolled', 'sawn'];

const holding = Joi.object({
  from: positive().required(),
  upTo: positive().required(),
  length: positive().required(),
  runOut: number().min(0).required(),
  over: positive(),
});

const dial = () => Joi.object({ travel: positive().required(), divisions: positive().integer().required() });

export const machineSchema = Joi.object<Machine>({
  id: Joi.string().max(60).required(),
  name: Joi.string().max(120).required(),
  swing: positive().required(),
  betweenCentres: positive().required(),
  spindleBore: positive().required(),
  longestBar: positive(),
  speeds: Joi.array().items(positive()).min(1).required(),
  feeds: Joi.array().items(positive()).min(1).required(),
  motorKilowatts: positive().required(),
  efficiency: positive().max(1).required(),
  stations: number().integer().min(0).required(),
  post: Joi.object({
    kind: Joi.string().valid('quick-change', 'turret').required(),
    places: positive().integer().required(),
    step: positive().max(90),
  }),
  runsBack: Joi.boolean(),
  protractor: Joi.string().valid('axis', 'square'),
  crossDial: dial(),
  carriageDial: dial(),
  compoundDial: dial(),
  backlash: number().min(0),
  leadscrew: Joi.object({
    pitch: positive().required(),
    gears: Joi.array().items(positive().integer()).max(40).required(),
  }),
  quillTravel: positive().required(),
  compoundTravel: positive(),
  compoundAhead: number().min(0),
  readOut: Joi.string().valid('diameter', 'radius', 'none').required(),
  rests: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string().valid('follow', 'fixed').required(),
        from: positive().required(),
        upTo: positive().required(),
        width: positive().required(),
      }),
    )
    .max(10),
  jaws: holding.required(),
  collets: holding.required(),
});

/** Lengths; of `spigot` and `centreEnd` "choose" and "none" as well, which are read later. */
const allowances = Joi.object(
  Object.fromEntries(
    [
      'frontFacing',
      'backFacing',
      'firstEnd',
      'bladeWidth',
      'kerf',
      'gripRemnant',
      'jawClearance',
      'breakthrough',
      'spigot',
      'centreEnd',
    ].map((key) => [key, length()]),
  ),
);

const angle = () => Joi.alternatives(number(), text(20));

/** What a field may hold in a file; what it means is read later, where the page can show it at its place. */
const entryOf = ({ takes, needed, follows }: Field): Joi.Schema => {
  const schema = (() => {
    if (Array.isArray(takes)) return Joi.string().valid(...(takes as string[]), '');
    if (takes === 'size' || takes === 'place') return size();
    if (takes === 'face') return face();
    if (takes === 'text') return text(60);
    if (takes === 'length' || takes === 'depth') return length();
    return angle();
  })();
  return needed && !follows ? schema.required() : schema;
};

/**
 * One of several kinds of entry, each with the fields that it knows: every field of every kind, allowed where the kind
 * has it. One flat object says where an entry is wrong; a choice between objects would only say that none fits.
 */
const oneOf = (list: EntryListName, common: Record<string, Joi.Schema> = {}) => {
  const [key, kinds] = [KIND_KEY[list], ENTRY_KINDS[list]];
  const all = new Map<string, Joi.Schema>();
  for (const field of kinds.flatMap(({ fields }) => fields))
    if (!all.has(field.key)) {
      const having = kinds.filter(({ fields }) => fields.some((own) => own.key === field.key));
      all.set(field.key, fieldIn(key, field.key, having));
    }
  return Joi.object({
    [key]: Joi.string()
      .valid(...kinds.map(({ name }) => name))
      .required(),
    ...Object.fromEntries(all),
    ...common,
  });
};

/** A field as the kinds that have it write it; in an entry of another kind it is not known. */
const fieldIn = (key: string, name: string, having: { name: string; fields: readonly Field[] }[]): Joi.Schema =>
  Joi.when(key, {
    switch: having.map((kind, index) => ({
      is: kind.name,
      then: entryOf(kind.fields.find((field) => field.key === name) as Field),
      ...(index === having.length - 1 ? { otherwise: Joi.forbidden() } : {}),
    })),
  });

const step = oneOf('outside', {
  name: text(60),
  roughness: Joi.alternatives(positive(), text(20)),
  chamfers: Joi.object({ front: length(), back: length() }),
  critical: Joi.boolean().strict(),
  keep: Joi.boolean().strict(),
  why: text(120),
});

const part = Joi.object<PartFile>({
  number: text(60).required(),
  name: text(120),
  revision: text(20),
  material: text(60).required(),
  generalTolerance: Joi.string().valid('fine', 'medium'),
  outside: Joi.array().items(step).max(200).required(),
  details: Joi.array().items(oneOf('details')).max(400),
  bores: Joi.array().items(oneOf('bores')).max(50),
  elsewhere: Joi.array().items(oneOf('elsewhere')).max(20),
  lengths: Joi.array()
    .items(Joi.object({ from: face().required(), to: face().required(), size: size().required() }))
    .max(200),
  runout: Joi.array()
    .items(Joi.object({ of: text(60).required(), to: text(60).required(), limit: length().required() }))
    .max(50),
  mates: Joi.array()
    .items(Joi.object({ of: text(60).required(), name: text(120).required() }))
    .max(20),
});

/** A school for each question of the house. */
const schools = (needed: (own: Joi.StringSchema) => Joi.StringSchema) =>
  Object.fromEntries(
    houseQuestions.map(({ rule, schools: own }) => [
      rule,
      needed(Joi.string().valid(...own.map(({ value }) => value))),
    ]),
  );

/** A part by itself, as a revision keeps it. */
export const partSchema = part.required();

/** Something decided against the planner, in a run file; a plan file says beside it what came of it. */
export const overruleSchema = Joi.object({
  first: key(),
  then: Joi.when('first', { is: Joi.exist(), then: key().required(), otherwise: Joi.forbidden() }),
  moved: key(),
  operation: key(),
  tool: key().when('operation', { not: Joi.exist(), then: Joi.forbidden() }),
  cut: Joi.object({
    speed: positive(),
    feed: positive(),
    depth: positive(),
    nose: positive(),
    edge: Joi.valid('hss', 'carbide'),
  })
    .min(1)
    .when('operation', { not: Joi.exist(), then: Joi.forbidden() }),
  skip: key(),
  add: Joi.object({
    name: Joi.string().max(60).required(),
    end: Joi.string().valid('front', 'back').required(),
    minutes: number().min(0).max(1000).required(),
  }),
  holding: Joi.object({ kind: key().required(), grip: key() }),
  stickOut: positive(),
  setup: Joi.valid(1, 2)
    .when('holding', { not: Joi.exist(), then: Joi.forbidden() })
    .when('stickOut', { is: Joi.exist(), then: Joi.required() }),
  feature: key(),
  end: Joi.valid('front', 'back').when('feature', {
    is: Joi.exist(),
    then: Joi.required(),
    otherwise: Joi.forbidden(),
  }),
  outside: key(),
  after: number()
    .integer()
    .min(1)
    .when('outside', { is: Joi.exist(), then: Joi.required(), otherwise: Joi.forbidden() }),
  because: text(300),
  signed: text(60),
})
  .xor('first', 'operation', 'skip', 'add', 'holding', 'stickOut', 'feature', 'outside')
  .when(Joi.object({ operation: Joi.exist() }).unknown(), { then: Joi.object().xor('tool', 'cut') });

export const runFileSchema = Joi.object<RunFile>({
  format: Joi.string()
    .valid('shingle-run/1')
    .required()
    .messages({ 'any.only': '“{#value}” is not a run file that can be read; it must be shingle-run/1' }),
  units: Joi.string().valid('mm', 'in').default('mm'),
  part: partSchema,
  quantity: Joi.alternatives(number(), text(20)).required(),
  family: text(60),
  spares: Joi.alternatives(number(), text(20)),
  due: Joi.string()
    .allow('')
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .messages({ 'string.pattern.base': '“{#value}” is not a day; write it as 2026-12-04' }),
  stock: Joi.alternatives(
    Joi.string().valid('choose'),
    Joi.object({
      form: Joi.string().valid(...FORMS),
      size: length().required(),
      bore: Joi.when('form', { is: 'tube', then: length().required(), otherwise: Joi.forbidden() }),
      condition: Joi.string().valid(...CONDITIONS),
      barLength: length(),
    }),
  ),
  way: Joi.string().valid('choose', ...WAYS),
  allowances,
  firstEnd: Joi.string().valid('choose', 'front', 'back'),
  overrules: Joi.array().items(overruleSchema).max(60),
  machine: Joi.alternatives(text(60), machineSchema),
  rules: Joi.object(schools((own) => own)),
  offer: Joi.object({
    once: number().min(0),
    each: number().min(0).required(),
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

const edgeLife = () =>
  Joi.object({
    life: positive().required(),
    exponent: positive().less(1).required(),
    cost: number().min(0).required(),
    change: number().min(0).required(),
    thinnest: positive().required(),
  });

const spread = () =>
  Joi.object({ down: number().min(0).less(1).required(), up: number().min(0).required() }).required();

export const shopSchema = Joi.object<Shop>({
  materials: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().required(),
        name: Joi.string().required(),
        density: positive().required(),
        elasticity: positive(),
        expansion: positive(),
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
              form: Joi.string()
                .valid(...FORMS)
                .required(),
              condition: Joi.string()
                .valid(...CONDITIONS)
                .required(),
              units: Joi.string().valid('mm', 'in').required(),
              sizes: Joi.array().items(Joi.string()).required(),
              barLength: Joi.string().required(),
              pricePerKilogram: number().min(0).required(),
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
        offset: number().required(),
        ahead: number().min(0),
        holder: number().min(0),
        hand: Joi.string().valid('right', 'left'),
        place: positive().integer(),
        nose: positive(),
        thinnestCut: positive(),
        diameter: positive(),
        point: positive().max(180),
        flute: positive(),
        least: positive(),
        deep: positive(),
        slope: positive().max(90),
        pitch: positive(),
        pattern: Joi.string().valid('straight', 'diamond'),
        hollowEdge: positive(),
        width: positive(),
        reach: positive(),
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
        from: positive().required(),
        upTo: positive().required(),
        length: positive().required(),
        runOut: number().min(0).required(),
        load: number().min(0).required(),
        change: number().min(0).required(),
      }),
    )
    .unique('kind')
    .required(),
  handMinutes: valuesOf(startValues.handMinutes),
  setupMinutes: valuesOf(startValues.setupMinutes),
  outside: valuesOf(startValues.outside),
  timeAllowance: number().min(0).required(),
  gauges: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().required(),
        repeats: positive().required(),
        minutes: number().min(0).required(),
        from: number().min(0),
        upTo: positive(),
        measures: Joi.array()
          .items(Joi.string().valid('outside', 'inside', 'length', 'thread'))
          .required(),
      }),
    )
    .required(),
  checkEvery: Joi.object({
    general: positive().integer().required(),
    toleranced: positive().integer().required(),
  }).required(),
  houseRules: Joi.object(schools((own) => own.required())).required(),
  spares: Joi.object({
    firstOff: number().integer().min(0).required(),
    scrapShare: number().min(0).max(1).required(),
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
    machineHour: number().min(0).required(),
    order: number().min(0).required(),
  }).required(),
  edges: Joi.object({ hss: edgeLife().required(), carbide: edgeLife().required() }).required(),
  programmed: valuesOf(startValues.programmed),
  bodies: valuesOf(startValues.bodies),
  spreads: Joi.object({ cutting: spread(), hand: spread(), setup: spread() }).required(),
}).required();
