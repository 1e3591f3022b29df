import { sayEntry } from '../model/units/mark';
import type { BarOnSale } from '../model/plan/stock';
import { bad, collect, good, refuse, type Problem, type Result, missing } from '../model/result';
import { readLength } from './fields';
import { readPart } from './readPart';
import { shopForRun } from '../model/shop/forRun';
import type { BarList, Shop, ShopForRun } from '../model/shop/shop';
import { isAdd, keyOfAdded, type Overrule } from '../model/overrule';
import type { Run, RunAllowances } from '../model/run';
import { checkShape } from './problems';
import { readPiece } from './readPiece';
import { blanksForDies } from './blanksForDies';
import { withRoundFigures } from './roundFigures';
import { boredToSize } from './boredToSize';
import { threadedInside } from './threadedInside';
import { drilledInstead } from './drilledInstead';
import { reamedInstead } from './reamedInstead';
import { asToGet, toolsToGet } from './toolsToGet';
import { insideThreadTools } from './threadToolsToGet';
import type { RunFile } from './runFile';
import { runFileSchema } from './schemas';
import type { UnitSystem } from '../model/units/length';
import type { Part } from '../model/part/part';
import { takesWay } from '../model/way';

/** So many pieces as people write them: `20`, `20 pcs`, `20 off`, `1,000`, `12 000`. */
const plainCount = (entry: number | string): string => {
  const text = String(entry)
    .trim()
    .replace(/\s*(?:pcs?\.?|pieces?|off|×|x)$/i, '');
  return /^\d{1,3}(?:[,' ]\d{3})+$/.test(text) ? text.replace(/[,' ]/g, '') : text;
};

/** So many pieces, as people write them; or what is wrong with that. */
export function readQuantity(entry: number | string): Result<number> {
  const text = plainCount(entry);
  if (text === '') return bad(missing('quantity', ': how many pieces?'));
  if (!/^\d+$/.test(text) || Number(text) < 1)
    return refuse('quantity', `“${text}” must be a whole number of pieces, 1 or more`);
  if (Number(text) > 1_000_000)
    return refuse('quantity', `${text} is more than a million pieces, which a manual lathe does not make`);
  return good(Number(text));
}

/** Spares as a number, or as a share of the quantity, rounded up: `10 %`. */
function readSpares(entry: number | string | undefined, quantity: Result<number>): Result<number | undefined> {
  const text = plainCount(entry ?? '');
  if (text === '') return good(undefined);
  const share = /^(\d{1,3}(?:[.,]\d+)?)\s*%$/.exec(text)?.[1];
  if (share !== undefined)
    return good(quantity.ok ? Math.ceil((Number(share.replace(',', '.')) * quantity.value) / 100 - 1e-9) : 0);
  return /^\d{1,6}$/.test(text)
    ? good(Number(text))
    : refuse('spares', `“${text}” must be a whole number of pieces, a share as 10 %, or left empty`);
}

function readStock(
  entry: RunFile['stock'],
  units: UnitSystem,
  lists: readonly BarList[],
  { part, facing }: { part: Result<Part>; facing: number },
): Result<BarOnSale | 'choose'> {
  if (entry === undefined || entry === 'choose') return good('choose');
  if (entry.form === 'piece')
    // What is wrong with the part is told of the part.
    return part.ok ? readPiece(entry, part.value, { units, facing }) : good('choose');
  const { form = 'round', condition = 'drawn' } = entry;
  const list = lists.find((barList) => barList.form === form && barList.condition === condition) ?? lists[0];
  const size = readLength(entry.size, units, 'stock.size');
  const barLength = readLength(entry.barLength ?? list?.barLength ?? '', 'mm', 'stock.barLength');
  const given = entry.barLength === undefined ? barLength : readLength(entry.barLength, units, 'stock.barLength');
  if (!size.ok) return size;
  if (!given.ok) return given;
  const bore = form === 'tube' ? readLength(entry.bore ?? '', units, 'stock.bore') : good(0);
  if (!bore.ok) return bore;
  if (form === 'tube' && (bore.value <= 0 || bore.value >= size.value))
    return refuse('stock.bore', `${String(entry.bore)} must be more than nothing and less than the outside`);
  for (const [key, value] of [
    ['size', size.value],
    ['barLength', given.value],
  ] as const)
    if (value <= 0) return refuse(`stock.${key}`, `${String(entry[key])} must be more than nothing`);
  return good({
    form,
    condition,
    size: size.value,
    bore: bore.value,
    barLength: given.value,
    pricePerKilogram: list?.pricePerKilogram ?? 0,
  });
}

/** How the pieces come off the stock, where it can be so. */
function readWay({ way = 'choose', stock }: RunFile): Result<Run['way']> {
  if (way === 'choose' || takesWay(stock, way)) return good(way);
  return refuse(
    'way',
    way === 'as-it-arrives'
      ? 'the stock says of no piece what it is like as it arrives'
      : 'a piece that arrives is no bar',
  );
}

/** What was decided; work that is added twice under one name at one end could not be told apart. */
function readOverrules(overrules: readonly Overrule[] = []): Result<Overrule[]> {
  const keys = overrules.map((overrule) => (isAdd(overrule) ? keyOfAdded(overrule.add) : undefined));
  const twice = keys.findIndex((key, index) => key !== undefined && keys.indexOf(key) < index);
  return twice < 0
    ? good([...overrules])
    : refuse(`overrules[${twice}].add.name`, 'is there already at this end: give it another name');
}

/** What may be left on as long as is needed, or not at all. */
const LEFT_ON = ['spigot', 'centreEnd'];

function readAllowances({ allowances }: RunFile, units: UnitSystem): Result<RunAllowances> {
  const read = Object.entries(allowances ?? {}).map(([key, entry]): Result<[string, number | 'choose']> => {
    const path = `allowances.${key}`;
    if (LEFT_ON.includes(key) && entry === 'choose') return good([key, 'choose']);
    if (LEFT_ON.includes(key) && entry === 'none') return good([key, 0]);
    const length = readLength(entry, units, path);
    if (!length.ok) return length;
    if (length.value < 0 || (length.value === 0 && key === 'bladeWidth'))
      return refuse(path, `${sayEntry(entry)} is too little: an allowance cannot be less than nothing`);
    return good([key, length.value]);
  });
  const all = collect(read);
  return all.ok ? good(Object.fromEntries(all.value)) : all;
}

/** A shop with the tools that a part asks for and it has not, and the part as these make it. */
function asMade(drawn: Part, shop: ShopForRun, units: UnitSystem): Pick<Run, 'part' | 'shop'> {
  const part = drilledInstead(reamedInstead(drawn, shop.tools), shop.tools);
  const tools = [...shop.tools, ...toolsToGet(part, shop.tools, shop.cutting)];
  const rounded = withRoundFigures(part, shop.allowances, units);
  const threaded = threadedInside(boredToSize(rounded, tools, shop.cutting), tools, shop.cutting);
  const all = [...tools, ...asToGet(insideThreadTools(threaded, tools, shop.cutting))];
  const made = blanksForDies(threaded, all, shop.cutting);
  return { part: made, shop: { ...shop, tools: all } };
}

/**
 * Reads a run file of unknown make into a run that can be planned: shape, words, sizes, geometry, and the names it uses
 * of the shop. The one way in for page, server, command line and tests.
 * @returns the run in mm, or every problem with path and reason
 */
export function readRun(file: unknown, shop: Shop): Result<Run> {
  const shaped = checkShape(runFileSchema, file);
  return shaped.ok ? readShaped(shaped.value, shop) : shaped;
}

function readShaped(file: RunFile, shop: Shop): Result<Run> {
  const { units } = file;
  const narrowed = shopForRun(shop, { material: file.part.material, machine: file.machine, rules: file.rules });
  const lists = narrowed.ok ? narrowed.value.material.bars.filter((bars) => bars.units === units) : [];
  const part = readPart(file.part, units);
  const quantity = readQuantity(file.quantity);
  const spares = readSpares(file.spares, quantity);
  const facing = narrowed.ok ? narrowed.value.allowances.facingSawn : 0;
  const stock = readStock(file.stock, units, lists, { part, facing });
  const way = readWay(file);
  const allowances = readAllowances(file, units);
  const overrules = readOverrules(file.overrules);
  const number: Result<string> =
    file.part.number.trim() === '' ? bad(missing('part.number', ': give the part a number')) : good(file.part.number);
  if (
    narrowed.ok &&
    part.ok &&
    quantity.ok &&
    spares.ok &&
    stock.ok &&
    allowances.ok &&
    overrules.ok &&
    number.ok &&
    way.ok
  )
    return good({
      ...asMade(part.value, narrowed.value, units),
      units,
      quantity: quantity.value,
      ...(spares.value === undefined ? {} : { spares: spares.value }),
      stock: stock.value,
      way: way.value,
      firstEnd: file.firstEnd ?? 'choose',
      allowances: allowances.value,
      overrules: overrules.value,
      notes: file.notes ?? [],
    });
  const problems: Problem[] = [number, narrowed, part, quantity, spares, stock, way, allowances, overrules].flatMap(
    (result) => (result.ok ? [] : result.problems),
  );
  return bad(...problems);
}
