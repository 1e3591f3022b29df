import Joi from 'joi';
import type { Section, StockLevel } from '../rack/rack';
import { andThen, good, refuse, type Result } from '../model/result';
import { parseLength, type UnitSystem } from '../model/units/length';
import { checkShape } from '../read/problems';

/** Bars that came in: so many alike. Lengths as they are typed. */
export interface ReceiptFile {
  units?: UnitSystem;
  material: string;
  form?: Section['form'];
  size: number | string;
  bore?: number | string;
  condition?: Section['condition'];
  length: number | string;
  count?: number | string;
  offcut?: boolean;
  batch?: string;
  place?: string;
  price?: number | string;
}

/** The same, read; mm. */
export interface Receipt extends Section {
  length: number;
  count: number;
  offcut: boolean;
  batch: string;
  place: string;
  price?: number;
}

const entry = () => Joi.alternatives(Joi.number().strict(), Joi.string().max(60));
const blank = () => Joi.string().allow('');

export const receiptSchema = Joi.object<ReceiptFile>({
  units: Joi.string().valid('mm', 'in').default('mm'),
  material: Joi.string().max(60).required(),
  form: Joi.string().valid('round', 'hex', 'square', 'tube').default('round'),
  size: entry().required(),
  bore: Joi.alternatives(entry(), blank()),
  condition: Joi.string().valid('drawn', 'ground', 'hot-rolled', 'sawn').default('drawn'),
  length: entry().required(),
  count: Joi.alternatives(Joi.number().strict(), blank().max(6)),
  offcut: Joi.boolean().strict(),
  batch: blank().max(120),
  place: blank().max(60),
  price: Joi.alternatives(Joi.number().strict(), blank().max(20)),
}).required();

const MOST_AT_ONCE = 200;

/** What the rack keeps of a length: no finer, and no longer than anything that is ever delivered. mm */
const FINEST = 0.001;
const LONGEST = 100_000;
const WIDEST = 2000;

/** A length that is one and can be kept as it is, mm. */
function lengthAt(
  value: number | string | undefined,
  units: UnitSystem,
  path: string,
  most: number = LONGEST,
): Result<number> {
  const length = parseLength(value ?? '', units);
  if (!length.ok) return refuse(path, length.problems[0]?.message ?? '');
  if (length.value <= 0) return refuse(path, `${value} must be more than nothing`);
  if (length.value < FINEST) return refuse(path, `${value} is less than ${FINEST} mm, the least that is kept`);
  return length.value <= most
    ? length
    : refuse(path, `${value} is more than ${most / 1000} m: see whether its unit is meant`);
}

/** A price in whole hundredths; an empty one is none. */
function priceAt(entry: number | string | undefined): Result<number | undefined> {
  const text = String(entry ?? '')
    .trim()
    .replace(',', '.');
  if (text === '') return good(undefined);
  if (!/^\d+(\.\d*)?$/.test(text)) return refuse('price', `“${entry}” is not a price; write for example 12.50`);
  if (!/^\d{1,7}(\.\d{0,2}0*)?$/.test(text))
    return refuse('price', `“${entry}” has more than two decimals or seven digits, which no price of a bar has`);
  return good(Number(text));
}

/** A material of the shop: a bar of anything else would fit no run. */
const materialAt = (material: string, materials: readonly string[]): Result<string> =>
  materials.includes(material)
    ? good(material)
    : refuse('material', `“${material}” is not in the shop's list; it has ${materials.join(', ')}`);

/**
 * Reads bars that came in.
 * @param materials ids that the shop knows
 */
export const readReceipt = (value: unknown, materials: readonly string[]): Result<Receipt> =>
  andThen(checkShape(receiptSchema, value), (file) => {
    const known = materialAt(file.material, materials);
    if (!known.ok) return known;
    const { units = 'mm', form = 'round', condition = 'drawn' } = file;
    const size = lengthAt(file.size, units, 'size', WIDEST);
    const length = lengthAt(file.length, units, 'length');
    const bore = form === 'tube' ? lengthAt(file.bore, units, 'bore', WIDEST) : good(0);
    if (!size.ok) return size;
    if (!length.ok) return length;
    if (!bore.ok) return bore;
    if (bore.value >= size.value) return refuse('bore', 'must be less than the outside');
    const count = String(file.count ?? '').trim() || '1';
    if (!/^\d+$/.test(count) || Number(count) < 1 || Number(count) > MOST_AT_ONCE)
      return refuse('count', `“${count}” must be a whole number of bars, 1 to ${MOST_AT_ONCE}`);
    const price = priceAt(file.price);
    if (!price.ok) return price;
    return good({
      material: file.material,
      form,
      condition,
      size: size.value,
      bore: bore.value,
      length: length.value,
      count: Number(count),
      offcut: file.offcut ?? false,
      batch: file.batch ?? '',
      place: file.place ?? '',
      ...(price.value === undefined ? {} : { price: price.value }),
    });
  });

/** The most of a section that is kept on a rack, mm. */
const MOST_KEPT = 10_000_000;

const levelSchema = Joi.object<LevelFile>({
  units: Joi.string().valid('mm', 'in').default('mm'),
  material: Joi.string().max(60).required(),
  form: Joi.string().valid('round', 'hex', 'square', 'tube').required(),
  size: Joi.number().strict().positive().max(WIDEST).required(),
  bore: Joi.number().strict().min(0).max(WIDEST).required(),
  condition: Joi.string().valid('drawn', 'ground', 'hot-rolled', 'sawn').required(),
  least: Joi.alternatives(entry(), blank()).required(),
}).required();

interface LevelFile extends Section {
  units: UnitSystem;
  least: number | string;
}

/** Reads how much of a section is to be kept; nothing written is nothing kept. */
export const readLevel = (value: unknown, materials: readonly string[]): Result<StockLevel> =>
  andThen(checkShape(levelSchema, value), ({ units, least, ...section }) => {
    const known = materialAt(section.material, materials);
    if (!known.ok) return known;
    const text = String(least).trim() || '0';
    const mm = parseLength(text, units);
    if (!mm.ok) return refuse('least', mm.problems[0]?.message ?? '');
    if (mm.value < 0) return refuse('least', `${least} cannot be less than nothing`);
    return mm.value <= MOST_KEPT
      ? good({ ...section, least: mm.value })
      : refuse('least', `${least} is more than ${MOST_KEPT / 1000} m: see whether its unit is meant`);
  });

/** What is done with an item of the rack. */
export type RackAction =
  | { do: 'reserve'; run: number; length: number }
  | { do: 'release'; run: number }
  | { do: 'use'; run: number; left: number; place: string }
  /** It was not used up after all. */
  | { do: 'bring-back'; run: number };

const id = () => Joi.number().strict().integer().positive().required();

const actionSchema = Joi.object({
  do: Joi.string().valid('reserve', 'release', 'use', 'bring-back').required(),
  units: Joi.string().valid('mm', 'in').default('mm'),
  run: id(),
  length: Joi.when('do', { is: 'reserve', then: entry().required(), otherwise: Joi.forbidden() }),
  left: Joi.when('do', { is: 'use', then: Joi.alternatives(entry(), blank()).required(), otherwise: Joi.forbidden() }),
  place: Joi.when('do', { is: 'use', then: blank().max(60), otherwise: Joi.forbidden() }),
}).required();

interface ActionFile {
  do: RackAction['do'];
  units: UnitSystem;
  run: number;
  length?: number | string;
  left?: number | string;
  place?: string;
}

/** Reads what is to be done with an item; lengths in mm. */
export const readRackAction = (value: unknown): Result<RackAction> =>
  andThen(checkShape(actionSchema as Joi.Schema<ActionFile>, value), ({ do: act, units, run, length, left, place }) => {
    if (act === 'release' || act === 'bring-back') return good<RackAction>({ do: act, run });
    if (act === 'reserve')
      return andThen(lengthAt(length, units, 'length'), (mm) => good<RackAction>({ do: act, run, length: mm }));
    const rest = parseLength(String(left ?? '').trim() || '0', units);
    if (!rest.ok) return refuse('left', rest.problems[0]?.message ?? '');
    if (rest.value < 0) return refuse('left', `${left} cannot be less than nothing`);
    if (rest.value > 0 && rest.value < FINEST)
      return refuse('left', `${left} is less than ${FINEST} mm: nothing is left of it`);
    return good<RackAction>({ do: act, run, left: rest.value, place: place ?? '' });
  });
