import type { Random } from './random';

type Open = Record<string, unknown>;
const isOpen = (value: unknown): value is Open => typeof value === 'object' && value !== null;

/** Entries that grow with the diameters of a part. */
const ACROSS = new Set(['diameter', 'from', 'to', 'bottom', 'mouth', 'small']);

const round = (value: number) => Number(value.toFixed(2));

/** The figure of a number or of a size; undefined where it is written in words. */
const figureOf = (value: unknown): number | undefined =>
  typeof value === 'number' ? value : isOpen(value) && typeof value.size === 'number' ? value.size : undefined;

/** A number or a size with another figure; what is written in words stays. */
const withFigure = (value: unknown, change: (figure: number) => number): unknown => {
  const figure = figureOf(value);
  if (figure === undefined) return value;
  return isOpen(value) ? { ...value, size: round(change(figure)) } : round(change(figure));
};

const across = (entry: Open, factor: number): Open =>
  Object.fromEntries(
    Object.entries(entry).map(([key, value]) => [
      key,
      ACROSS.has(key) ? withFigure(value, (figure) => figure * factor) : value,
    ]),
  );

const listOf = (value: unknown): Open[] => (Array.isArray(value) ? (value as Open[]) : []);

/** A thread, a reamer, a knurl or a fit has its own sizes: a part with one keeps its diameters. */
const hasOwnSizes = (part: Open) => /"(thread|tap|die|ream|knurl)"|fit/.test(JSON.stringify(part));

/** Where the steps end, from the front. */
const endsOf = (steps: readonly Open[]): number[] => {
  let z = 0;
  return [0, ...steps.map(({ length }) => (z = round(z + (figureOf(length) ?? 0))))];
};

/** A place of the part as it was, where it is in the part as it is now: between two ends it keeps its share. */
const movedBy = (before: readonly number[], after: readonly number[]) => (z: number) => {
  const index = Math.max(
    0,
    before.findLastIndex((end, at) => end <= z + 1e-9 && at < before.length - 1),
  );
  const [from = 0, to = 1, newFrom = 0, newTo = 1] = [before[index], before[index + 1], after[index], after[index + 1]];
  return to - from < 1e-9 ? newFrom : newFrom + ((z - from) / (to - from)) * (newTo - newFrom);
};

/**
 * A run of another geometry: thicker or thinner, longer or shorter, one step changed by itself, another quantity, often
 * another material, and the stock mostly left to the planner. What lies on a step goes with it.
 */
export function otherGeometry(file: Open, random: Random, materials: readonly string[]): Open {
  const part = file.part as Open;
  const old = listOf(part.outside);
  const thicker = hasOwnSizes(part) ? 1 : random.between(0.85, 1.2);
  const longer = old.every(({ length }) => figureOf(length) !== undefined) ? random.between(0.85, 1.2) : 1;
  const chosen = random.whole(0, old.length - 1);
  const alone = random.between(0.9, 1.3);
  const outside = old.map((step, index) => ({
    ...across(step, thicker),
    length: withFigure(step.length, (figure) => figure * (longer === 1 ? 1 : longer * (index === chosen ? alone : 1))),
  }));
  const [before, after] = [endsOf(old), endsOf(outside)];
  const [long, nowLong] = [before.at(-1) ?? 0, after.at(-1) ?? 0];
  const move = movedBy(before, after);
  const details = listOf(part.details).map((detail) => {
    const at = figureOf(detail.at);
    return {
      ...across(detail, thicker),
      ...(at === undefined ? {} : { at: withFigure(detail.at, move) }),
      ...(at === undefined || detail.length === undefined
        ? {}
        : { length: withFigure(detail.length, (length) => round(move(at + length)) - round(move(at))) }),
    };
  });
  const bores = listOf(part.bores).map((bore) => ({
    ...across(bore, thicker),
    ...(bore.depth === undefined
      ? {}
      : {
          depth: withFigure(bore.depth, (depth) => (bore.from === 'back' ? nowLong - move(long - depth) : move(depth))),
        }),
  }));
  const { stock, ...rest } = file;
  return {
    ...rest,
    ...(random.often(0.1) && stock !== undefined ? { stock } : {}),
    quantity: random.whole(1, 400),
    part: {
      ...part,
      ...(random.often(0.3) ? { material: random.one(materials) } : {}),
      outside,
      ...(part.details ? { details } : {}),
      ...(part.bores ? { bores } : {}),
    },
  };
}

/** What people, programs and attackers put in a place. */
export const JUNK: readonly unknown[] = [
  null,
  true,
  '',
  ' ',
  0,
  -0,
  -1,
  1e-9,
  1e9,
  1e308,
  -1e308,
  5e-324,
  '9'.repeat(60),
  '99999 m',
  '1e400',
  '1/0',
  '0/0 in',
  '3/8 in',
  '12,7 mm',
  '−5',
  '12 ±0.1',
  '14 h8',
  '14 zz99',
  'NaN',
  'Infinity',
  'constructor',
  '__proto__',
  '\u0000',
  'M\u0308',
  '💥'.repeat(30),
  '<script>alert(1)</script>',
  "'; drop table runs; --",
  [],
  {},
  [[[]]],
  { size: -1 },
  { size: 5, limits: [1, -1] },
  { size: 5, fit: 'h7', limits: [0, 1] },
  { toString: 'x' },
  { valueOf: null, toString: null },
  { length: 3 },
  'choose',
  'through',
];

/** Places in a document, as paths of keys. */
function placesIn(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (!isOpen(value)) return [path];
  return [
    ...(path.length > 0 ? [path] : []),
    ...Object.entries(value).flatMap(([key, inner]) =>
      placesIn(inner, [...path, Array.isArray(value) ? Number(key) : key]),
    ),
  ];
}

/** A copy with one place changed; a change of undefined takes the place out. */
function changedAt(value: unknown, [key, ...rest]: (string | number)[], change: unknown): unknown {
  if (key === undefined) return change;
  if (Array.isArray(value)) {
    const copy = [...(value as unknown[])];
    if (rest.length === 0 && change === undefined) copy.splice(Number(key), 1);
    else copy[Number(key)] = changedAt(copy[Number(key)], rest, change);
    return copy;
  }
  const copy = { ...(value as Open) };
  if (rest.length === 0 && change === undefined) delete copy[String(key)];
  else copy[String(key)] = changedAt(copy[String(key)], rest, change);
  return copy;
}

/** A document with junk in some of its places, some taken out, some entries doubled. */
export function spoiled(document: unknown, random: Random, places = random.whole(1, 3)): unknown {
  let result = document;
  for (let index = 0; index < places; index += 1) {
    const all = placesIn(result);
    if (all.length === 0) return result;
    const at = random.one(all);
    if (random.often(0.15)) result = changedAt(result, at, undefined);
    else if (random.often(0.1)) result = changedAt(result, [...at, 'unknown'], 1);
    else result = changedAt(result, at, random.one(JUNK));
  }
  return result;
}

/** Text with some of it changed, doubled, taken out or put elsewhere. */
export function garbled(text: string, random: Random): string {
  const lines = text.split('\n');
  for (let index = random.whole(1, 4); index > 0; index -= 1) {
    const at = random.whole(0, lines.length - 1);
    const line = lines[at] ?? '';
    const choice = random.whole(0, 5);
    if (choice === 0) lines.splice(at, 1);
    else if (choice === 1) lines.splice(at, 0, line);
    else if (choice === 2) lines[at] = JSON.stringify(random.one(JUNK));
    else if (choice === 3) lines[at] = `${line}${random.one([';', ' ;;', ' 1', 'x', '\t', ' critical', '; ra -1'])}`;
    else if (choice === 4) lines[at] = line.replace(/\d+/, String(random.one([0, -1, 1e9, 1e-9, 99999, '1/0'])));
    else lines[at] = line.slice(0, random.whole(0, line.length));
  }
  return lines.join('\n');
}
