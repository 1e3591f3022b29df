import Joi from 'joi';
import { WAYS } from '../model/way';
import { ENTRY_KINDS, KIND_KEY, type EntryListName } from './entryKinds';
import type { Field } from './fields';
import { machineSchema } from './machineSchema';
import type { PartFile, RunFile } from './runFile';
import { CONDITIONS, FORMS, KEY, LENGTH, NOT_NEGATIVE, NUMBER, POSITIVE, SIZE, schools, text } from './schemaParts';

/** One schema per shape; the published JSON Schemas are made from these (`npm run schemas`). */

/** A face by its name, or a step by its number. */
const FACE = Joi.alternatives(NUMBER, text(60));

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
    ].map((key) => [key, LENGTH]),
  ),
);

const ANGLE = Joi.alternatives(NUMBER, text(20));

const CHOICES = new Map<string, Joi.Schema>();

/** One of a list of words, or nothing yet. */
const choice = (words: readonly string[]): Joi.Schema => {
  const known = CHOICES.get(words.join()) ?? Joi.string().valid(...words, '');
  CHOICES.set(words.join(), known);
  return known;
};

/** What a field may hold in a file; what it means is read later, where the page can show it at its place. */
function takenBy(takes: Field['takes']): Joi.Schema {
  if (typeof takes !== 'string') return choice(takes);
  if (takes === 'size' || takes === 'place' || takes === 'depth') return SIZE;
  if (takes === 'face') return FACE;
  if (takes === 'text') return text(60);
  if (takes === 'length') return LENGTH;
  return ANGLE;
}

/**
 * One of several kinds of entry, each with the fields that it knows: every field of every kind, allowed where the kind
 * has it. One flat object says where an entry is wrong; a choice between objects would only say that none fits.
 */
const oneOf = (list: EntryListName, common: Record<string, Joi.Schema> = {}) => {
  const [key, kinds] = [KIND_KEY[list], ENTRY_KINDS[list]];
  const all = new Map<string, Joi.Schema>();
  for (const field of kinds.flatMap(({ fields }) => fields))
    if (!all.has(field.key)) {
      const having = kinds.filter(({ fields }) => fields.some((candidate) => candidate.key === field.key));
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

/** A field as the kinds that have it write it, those that write it alike together; another kind does not know it. */
function fieldIn(key: string, name: string, having: readonly { name: string; fields: readonly Field[] }[]): Joi.Schema {
  const alike = new Map<string, { then: Joi.Schema; kinds: string[] }>();
  for (const kind of having) {
    const { takes, needed, follows } = kind.fields.find((field) => field.key === name) as Field;
    const must = Boolean(needed && !follows);
    const is = `${must} ${String(takes)}`;
    const known = alike.get(is);
    if (known) known.kinds.push(kind.name);
    else alike.set(is, { then: must ? takenBy(takes).required() : takenBy(takes), kinds: [kind.name] });
  }
  const cases = [...alike.values()].map(({ then, kinds }) => ({ is: Joi.valid(...kinds).required(), then }));
  return Joi.when(key, {
    switch: cases.map((each, index) => (index < cases.length - 1 ? each : { ...each, otherwise: Joi.forbidden() })),
  });
}

const step = oneOf('outside', {
  name: text(60),
  roughness: Joi.alternatives(POSITIVE, text(20)),
  chamfers: Joi.object({ front: LENGTH, back: LENGTH }),
  critical: Joi.boolean().strict(),
  keep: Joi.boolean().strict(),
  why: text(120),
});

const part = Joi.object<PartFile>({
  number: text(60).required(),
  name: text(120),
  revision: text(20),
  material: Joi.alternatives(text(60), Joi.array().items(text(60)).min(1).max(20)).required(),
  generalTolerance: Joi.string().valid('fine', 'medium'),
  outside: Joi.array().items(step).max(200).required(),
  details: Joi.array().items(oneOf('details')).max(400),
  bores: Joi.array()
    .items(oneOf('bores', { critical: Joi.boolean().strict() }))
    .max(50),
  elsewhere: Joi.array().items(oneOf('elsewhere')).max(20),
  lengths: Joi.array()
    .items(Joi.object({ from: FACE.required(), to: FACE.required(), size: SIZE.required() }))
    .max(200),
  runout: Joi.array()
    .items(Joi.object({ of: text(60).required(), to: text(60).required(), limit: LENGTH.required() }))
    .max(50),
  mates: Joi.array()
    .items(Joi.object({ of: text(60).required(), name: text(120).required() }))
    .max(20),
});

const bar = Joi.alternatives(
  Joi.string().valid('choose'),
  Joi.object({
    form: Joi.string().valid(...FORMS),
    size: LENGTH.required(),
    bore: Joi.when('form', { is: 'tube', then: LENGTH.required(), otherwise: Joi.forbidden() }),
    condition: Joi.string().valid(...CONDITIONS),
    barLength: LENGTH,
  }),
);

/** A piece as it arrives. */
const piece = Joi.object({
  form: Joi.valid('piece').required(),
  outside: Joi.array().items(step).min(1).max(50).required(),
  bores: Joi.array().items(oneOf('bores')).max(20),
  details: Joi.array().items(oneOf('details')).max(400),
  ahead: LENGTH,
  skin: Joi.boolean().strict(),
  grade: text(60),
});

/** A part by itself, as a revision keeps it. */
export const partSchema = part.required();

/** Something decided against the planner, in a run file; a plan file says beside it what came of it. */
export const overruleSchema = Joi.object({
  first: KEY,
  then: Joi.when('first', { is: Joi.exist(), then: KEY.required(), otherwise: Joi.forbidden() }),
  moved: KEY,
  operation: KEY,
  tool: KEY.when('operation', { not: Joi.exist(), then: Joi.forbidden() }),
  cut: Joi.object({
    speed: POSITIVE,
    feed: POSITIVE,
    depth: POSITIVE,
    nose: POSITIVE,
    edge: Joi.valid('hss', 'carbide'),
  })
    .min(1)
    .when('operation', { not: Joi.exist(), then: Joi.forbidden() }),
  stop: Joi.object({
    means: KEY.required(),
    station: POSITIVE.integer(),
    spacers: Joi.array().items(POSITIVE).max(2),
  }).when('operation', { not: Joi.exist(), then: Joi.forbidden() }),
  skip: KEY,
  add: Joi.object({
    name: Joi.string().max(60).required(),
    end: Joi.string().valid('front', 'back').required(),
    minutes: NOT_NEGATIVE.max(1000).required(),
  }),
  holding: Joi.object({ kind: KEY.required(), grip: KEY }),
  stickOut: POSITIVE,
  // Of a feature the set-up that makes it; else the side that is held.
  setup: Joi.when('feature', {
    is: Joi.exist(),
    then: NUMBER.integer().min(1).max(4),
    otherwise: Joi.valid(1, 2)
      .when('holding', { not: Joi.exist(), then: Joi.forbidden() })
      .when('stickOut', { is: Joi.exist(), then: Joi.required() }),
  }),
  feature: KEY,
  end: Joi.valid('front', 'back').when('feature', {
    is: Joi.exist(),
    then: Joi.when('setup', { is: Joi.exist(), then: Joi.forbidden(), otherwise: Joi.required() }),
    otherwise: Joi.forbidden(),
  }),
  setups: NUMBER.integer().min(1).max(4),
  drawnOut: Joi.boolean().when('setups', { not: Joi.exist(), then: Joi.forbidden() }),
  centred: Joi.boolean().when('setups', { not: Joi.exist(), then: Joi.forbidden() }),
  leave: Joi.valid('spigot', 'centre-end', 'none'),
  length: POSITIVE.when('leave', { not: Joi.valid('spigot', 'centre-end').required(), then: Joi.forbidden() }),
  outside: KEY,
  after: NUMBER.integer().min(1).when('outside', { is: Joi.exist(), then: Joi.required(), otherwise: Joi.forbidden() }),
  because: text(300),
  signed: text(60),
})
  .xor('first', 'operation', 'skip', 'add', 'holding', 'stickOut', 'feature', 'outside', 'setups', 'leave')
  .when(Joi.object({ operation: Joi.exist() }).unknown(), { then: Joi.object().xor('tool', 'cut', 'stop') });

export const runFileSchema = Joi.object<RunFile>({
  format: Joi.string()
    .valid('shingle-run/1')
    .required()
    .messages({ 'any.only': '“{#value}” is not a run file that can be read; it must be shingle-run/1' }),
  units: Joi.string().valid('mm', 'in').default('mm'),
  part: partSchema,
  quantity: Joi.alternatives(NUMBER, text(20)).required(),
  customer: text(80),
  order: text(40),
  note: text(500),
  notes: Joi.array()
    .items(Joi.object({ operation: text(200).required(), text: text(500).required() }))
    .max(200),
  family: text(60),
  spares: Joi.alternatives(NUMBER, text(20)),
  due: Joi.string()
    .allow('')
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .messages({ 'string.pattern.base': '“{#value}” is not a day; write it as 2026-12-04' }),
  stock: Joi.alternatives().conditional('.form', { is: 'piece', then: piece, otherwise: bar }),
  way: Joi.string().valid('choose', ...WAYS),
  allowances,
  firstEnd: Joi.string().valid('choose', 'front', 'back'),
  overrules: Joi.array().items(overruleSchema).max(60),
  machine: Joi.alternatives(text(60), machineSchema),
  rules: Joi.object(schools((school) => school)),
  offer: Joi.object({
    once: NOT_NEGATIVE,
    each: NOT_NEGATIVE.required(),
  }),
  quote: Joi.object({
    margin: NOT_NEGATIVE,
    firstRisk: NOT_NEGATIVE,
    until: text(10),
    delivery: text(200),
    terms: text(2000),
    accepted: Joi.object({
      quantity: Joi.number().integer().min(1).required(),
      each: NOT_NEGATIVE.required(),
      on: text(10).required(),
    }),
  }),
}).required();
