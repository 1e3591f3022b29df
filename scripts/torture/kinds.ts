import { readCutList } from '@/core/formats/cutListFile';
import { linesOf, readLines } from '@/core/read/lines';
import { planFileOf } from '@/core/formats/planFile';
import { readReceipt } from '@/core/formats/rackFile';
import { readDxf } from '@/core/formats/dxf/readDxf';
import { readShop } from '@/core/read/readShop';
import { planFile } from '@/core/plan/plan';
import { parseLength } from '@/core/model/units/length';
import type { Result } from '@/core/model/result';
import { startValues } from '@/core/model/shop/startValues';
import { garbled, otherGeometry, spoiled } from './fuzzed';
import type { Random } from './random';

/** What was made of an input: it went through, or was refused in words. */
export type Went = 'through' | 'refused';

/** A kind of input: how one is made, and what must hold of what is made of it. Whatever does not hold is thrown. */
export interface FuzzKind {
  name: string;
  /** Share of the inputs in which only the geometry is changed. */
  make: (random: Random, seed: number) => unknown;
  judge: (input: never) => Went;
}

const materials = startValues.materials.map(({ id }) => id);

/** Every number in it is one. */
export function onlyFigures(value: unknown, path = ''): void {
  if (typeof value === 'number' && !Number.isFinite(value)) throw new Error(`${path} is ${value}`);
  if (typeof value === 'object' && value !== null)
    for (const [key, inner] of Object.entries(value)) onlyFigures(inner, `${path}.${key}`);
}

/** A refusal says where and what, in words for people. */
function inWords(result: Result<unknown>): Went {
  if (result.ok) return 'through';
  if (result.problems.length === 0) throw new Error('refused without a word');
  for (const { path, message } of result.problems) {
    if (typeof path !== 'string' || message.trim() === '') throw new Error(`refused without words at “${path}”`);
    if (/undefined|NaN|Infinity(?! )|\[object|TypeError| at \w+ \(/.test(message.replace(/“[^”]*”/g, '')))
      throw new Error(`these are not words: ${path} ${message}`);
  }
  return 'refused';
}

/** Nothing of what came in was changed. */
function unchanged<T>(input: unknown, work: () => T): T {
  const before = JSON.stringify(input);
  const result = work();
  if (JSON.stringify(input) !== before) throw new Error('the input was changed');
  return result;
}

/** Run files of other geometry, a third of them spoiled as well. */
const runFiles = (examples: readonly object[]): FuzzKind => ({
  name: 'run files',
  make: (random) => {
    const file = otherGeometry(random.one(examples) as Record<string, unknown>, random, materials);
    return random.often(0.33) ? spoiled(file, random) : file;
  },
  judge: (input) => {
    const plan = unchanged(input, () => planFile(input, startValues, 'wanted', { until: 'sound' }));
    if (plan.ok) onlyFigures(planFileOf(plan.value));
    return inWords(plan);
  },
});

const receipts: FuzzKind = {
  name: 'bars that came in',
  make: (random) =>
    spoiled(
      {
        units: random.one(['mm', 'in']),
        material: random.one(materials),
        form: random.one(['round', 'hex', 'square', 'tube']),
        size: round(random.between(2, 90)),
        bore: 1,
        length: round(random.between(10, 4000)),
        count: random.whole(1, 20),
        price: round(random.between(0, 90)),
      },
      random,
      random.whole(0, 2),
    ),
  judge: (input: { units?: 'mm' | 'in'; length: number; size: number }) => {
    const receipt = unchanged(input, () => readReceipt(input, materials));
    if (receipt.ok) {
      onlyFigures(receipt.value);
      for (const key of ['length', 'size'] as const) {
        const typed = parseLength(input[key], input.units ?? 'mm');
        // As the rack keeps it, to the millionth.
        const kept = Number(receipt.value[key].toFixed(6));
        if (!typed.ok || Math.abs(typed.value - kept) > 1e-6 || kept <= 0)
          throw new Error(`${key} was bent to ${kept}`);
      }
      if (receipt.value.price !== undefined && Number(receipt.value.price.toFixed(2)) !== receipt.value.price)
        throw new Error(`a price of ${receipt.value.price}`);
    }
    return inWords(receipt);
  },
};

const round = (value: number) => Number(value.toFixed(2));

const shops: FuzzKind = {
  name: 'shop files',
  make: (random) => spoiled(startValues, random, random.whole(0, 2)),
  judge: (input) => {
    const shop = unchanged(input, () => readShop(input));
    if (shop.ok) onlyFigures(shop.value);
    return inWords(shop);
  },
};

const cutLists: FuzzKind = {
  name: 'cut lists',
  make: (random) =>
    spoiled(
      {
        format: 'shingle-cutlist/1',
        units: random.one(['mm', 'in']),
        kerf: round(random.between(0, 3)),
        bars: [{ length: 3000, count: random.one([null, 3]) }],
        pieces: Array.from({ length: random.whole(1, 6) }, () => ({
          length: round(random.between(5, 900)),
          count: random.whole(1, 90),
        })),
      },
      random,
      random.whole(0, 2),
    ),
  judge: (input) => {
    const list = unchanged(input, () => readCutList(input));
    if (list.ok) onlyFigures(list.value);
    return inWords(list);
  },
};

const LINES = `14 h8; 9 +0.05; ra 1.6; name spigot; critical
cone 20; 26; 5
26; 8
groove 7; 2; 12.5
chamfer 0; 0.5
thread 0; 6; M14x1
drill front; 6; through
ream front; 6 H7; 16`;

const lines: FuzzKind = {
  name: 'parts as lines',
  make: (random) => (random.often(0.2) ? LINES : garbled(LINES, random)),
  judge: (input: string) => {
    const part = readLines(input);
    if (part.ok) {
      onlyFigures(part.value);
      const again = readLines(linesOf(part.value));
      if (!again.ok || linesOf(again.value) !== linesOf(part.value)) throw new Error('written out it reads otherwise');
    }
    return inWords(part);
  },
};

const entity = (kind: string, values: [number, number | string][]) =>
  `0\n${kind}\n8\n0\n${values.map(([code, value]) => `${code}\n${value}`).join('\n')}\n`;

const drawn = (random: Random) => {
  const [a, b] = [round(random.between(2, 20)), round(random.between(3, 30))];
  return (
    '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n' +
    entity('LINE', [
      [10, 0],
      [20, b],
      [11, 30],
      [21, b],
    ]) +
    entity('LINE', [
      [10, 30],
      [20, a],
      [11, 50],
      [21, a],
    ]) +
    entity('ARC', [
      [10, 50],
      [20, 0],
      [40, a],
      [50, 0],
      [51, 90],
    ]) +
    entity('LINE', [
      [10, -1],
      [20, 0],
      [11, 60],
      [21, 0],
    ]) +
    '0\nENDSEC\n0\nEOF\n'
  );
};

const drawings: FuzzKind = {
  name: 'DXF drawings',
  make: (random) => (random.often(0.2) ? drawn(random) : garbled(drawn(random), random)),
  judge: (input: string) => {
    const part = readDxf(input);
    if (part.ok) onlyFigures(part.value);
    return inWords(part);
  },
};

/** Every kind of input that comes from outside. */
export const fuzzKinds = (examples: readonly object[]): FuzzKind[] => [
  runFiles(examples),
  lines,
  drawings,
  cutLists,
  shops,
  receipts,
];
