import { sayEntry, sayFigure } from '../model/units/mark';
import { andThen, bad, good, refuse, type Problem, type Result, missing } from '../model/result';
import { parseLength, type UnitSystem } from '../model/units/length';
import {
  isLength,
  isSize,
  readPlace,
  readSize,
  sizeObject,
  type LengthEntry,
  type Size,
  type SizeEntry,
} from '../model/part/size';
import type { GeneralClass } from '../model/part/tolerance';
import { byKeys, type ByKeys } from './byKeys';

/** What a field of an entry holds, and so how it is read, typed and written into the schema. */
export type Takes =
  | 'length'
  | 'size'
  | 'place'
  | 'depth'
  | 'angle'
  | 'turn'
  | 'roughness'
  | 'count'
  | 'face'
  | 'text'
  | readonly string[];

/** One field of a step, a detail or a hole, said once for the reader, the schema, the page and the written line. */
export interface Field {
  key: string;
  label: string;
  takes: Takes;
  needed?: true;
  /** A file may leave it out: it can follow from the rest of the part. Where it does not, it is missing. */
  follows?: true;
  /** Of a diameter, whose fit it may have: a hole's in capitals, a shaft's in small letters. */
  fitOf?: 'shaft' | 'hole';
  /** Shown where it is typed. */
  hint?: string;
}

/** How lengths without a unit are meant, and which general tolerance applies. */
export interface Context {
  units: UnitSystem;
  general: GeneralClass;
}

/** What is read from a field, by what it takes. */
interface Taken {
  /** mm. */
  length: number;
  size: Size;
  /** Where something is, with the limits of that. */
  place: Size;
  /** mm, or a size where the drawing gives it limits of its own. */
  depth: number | Size | 'through';
  /** Degrees. */
  angle: number;
  turn: number;
  /** Ra, µm. */
  roughness: number;
  count: number;
  face: string;
  text: string;
}

/** How a field stands in a file. */
interface Typed {
  length: LengthEntry;
  size: SizeEntry;
  place: SizeEntry;
  depth: SizeEntry;
  angle: number | string;
  turn: number | string;
  roughness: number | string;
  count: number | string;
  face: number | string;
  text: string;
}

type By<Meaning, T extends Takes> = T extends keyof Meaning
  ? Meaning[T]
  : T extends readonly (infer Word)[]
    ? Word
    : never;

/** What the fields of an entry said, by their keys: a needed one is there. */
export type ValuesOf<Fields extends readonly Field[]> = {
  [F in Fields[number] as F extends { needed: true } ? F['key'] : never]: By<Taken, F['takes']>;
} & {
  [F in Fields[number] as F extends { needed: true } ? never : F['key']]?: By<Taken, F['takes']>;
};

/** The fields of an entry as a file writes them. */
export type TypedIn<Fields extends readonly Field[]> = {
  [F in Fields[number] as F extends { needed: true } ? (F extends { follows: true } ? never : F['key']) : never]: By<
    Typed,
    F['takes']
  >;
} & {
  [
    F in Fields[number] as F extends { needed: true } ? (F extends { follows: true } ? F['key'] : never) : F['key']
  ]?: By<Typed, F['takes']>;
};

const isBlank = (entry: unknown) => entry === undefined || (typeof entry === 'string' && entry.trim() === '');

/** Reads a plain length at a path, mm. */
export function readLength(entry: LengthEntry, units: UnitSystem, path: string): Result<number> {
  const length = parseLength(entry, units);
  return length.ok ? length : bad(...length.problems.map((problem) => ({ ...problem, path })));
}

function readPositive(entry: unknown, units: UnitSystem, path: string): Result<number> {
  if (!isLength(entry)) return refuse(path, 'is not a length');
  const length = readLength(entry, units, path);
  return length.ok && length.value <= 0 ? refuse(path, `${sayEntry(entry)} must be more than nothing`) : length;
}

function readNumber(entry: unknown, path: string, what: string, accepts: (value: number) => boolean): Result<number> {
  const value = Number(String(entry).trim().replace(/°$/, '').replace(',', '.'));
  return Number.isFinite(value) && accepts(value) ? good(value) : refuse(path, `“${String(entry)}” is not ${what}`);
}

/** Ra of the grades that drawings name, µm (textbook: N1 to N12). */
const RA_OF_GRADE = [0.025, 0.05, 0.1, 0.2, 0.4, 0.8, 1.6, 3.2, 6.3, 12.5, 25, 50];

/** A roughness as Ra, or by its grade: `1.6`, `Ra 1.6`, `N7`. */
function readRoughness(entry: unknown, path: string): Result<number> {
  const text = String(entry)
    .trim()
    .replace(/^ra\s*/i, '');
  const ofGrade = RA_OF_GRADE[Number(/^n(\d{1,2})$/i.exec(text)?.[1] ?? 0) - 1];
  return ofGrade === undefined
    ? readNumber(
        text,
        path,
        `a roughness; write Ra in µm, as ${sayFigure(1.6)}, or its grade, as N7`,
        (value) => value > 0,
      )
    : good(ofGrade);
}

const readWord = (entry: unknown): Result<string> => good(String(entry).trim());

/** Through, or how deep; a size only where the drawing gives it limits of its own. */
function readDepth(entry: unknown, path: string, context: Context): Result<Taken['depth']> {
  if (String(entry).trim().toLowerCase() === 'through') return good('through');
  if (!isSize(entry)) return refuse(path, 'is not a depth');
  const parts = sizeObject(entry);
  if (typeof parts !== 'object') return readPositive(parts, context.units, path);
  return parts.fit || parts.limits
    ? readSize(parts, { ...context, path })
    : readPositive(parts.size, context.units, path);
}

const READERS: { [T in keyof Taken]: (entry: unknown, path: string, context: Context) => Result<Taken[T]> } = {
  length: (entry, path, { units }) => readPositive(entry, units, path),
  size: (entry, path, context) =>
    isSize(entry) ? readSize(entry, { ...context, path }) : refuse(path, 'is not a size'),
  place: (entry, path, context) =>
    isSize(entry) ? readPlace(entry, { ...context, path }) : refuse(path, 'is not a place'),
  depth: readDepth,
  angle: (entry, path) =>
    readNumber(entry, path, 'an angle; write degrees, as 60', (value) => value > 0 && value < 180),
  turn: (entry, path) =>
    readNumber(entry, path, 'an angle; write degrees, as 0 or 45', (value) => value >= 0 && value < 360),
  roughness: readRoughness,
  count: (entry, path) => readNumber(entry, path, 'a whole number', (value) => Number.isInteger(value) && value > 0),
  face: readWord,
  text: readWord,
};

/** A fit of the other side is asked: it may be a slip, or belong to what goes in or over. */
function ofItsSide(size: Taken[keyof Taken], fitOf: Field['fitOf'], path: string): Result<Taken[keyof Taken]> {
  const fit = typeof size === 'object' ? size.fit : undefined;
  if (fit === undefined || fitOf === undefined || typeof size !== 'object') return good(size);
  const isHole = /^[A-Z]/.test(fit);
  if (isHole === (fitOf === 'hole')) return good(size);
  return refuse(
    path,
    isHole
      ? `${fit} is for a hole: on an outside it is ${fit.toLowerCase()}; write that, or make it a hole`
      : `${fit} is for a shaft: in a hole it is ${fit.toUpperCase()}; write that, or make it a step`,
  );
}

function readField(
  { takes, fitOf }: Field,
  entry: unknown,
  path: string,
  context: Context,
): Result<Taken[keyof Taken]> {
  if (typeof takes === 'string') {
    const taken: Result<Taken[keyof Taken]> = READERS[takes](entry, path, context);
    return andThen(taken, (value) => ofItsSide(value, fitOf, path));
  }
  const typed = String(entry).trim();
  // 6g and 6H are two: only what is in no other way there may be typed in other letters.
  const word = takes.includes(typed) ? typed : takes.find((one) => one.toLowerCase() === typed.toLowerCase());
  return word !== undefined
    ? good(word)
    : refuse(path, `“${String(entry)}” is not known here; it can be ${takes.join(', ')}`);
}

/**
 * Reads the fields of an entry.
 * @param known values that follow from elsewhere, for fields left empty
 * @returns its values, or every field that cannot be read with its path
 */
export function readFields<const Fields extends readonly Field[]>(
  fields: Fields,
  entry: object,
  path: string,
  context: Context,
  known: Readonly<Partial<Record<string, Size>>> = {},
): Result<ValuesOf<Fields>> {
  const given = byKeys(entry);
  const problems: Problem[] = [];
  const values: ByKeys = {};
  for (const field of fields) {
    const at = `${path}.${field.key}`;
    if (isBlank(given[field.key])) {
      const value = known[field.key];
      if (value !== undefined) values[field.key] = value;
      else if (field.needed) problems.push(missing(at));
      continue;
    }
    const value = readField(field, given[field.key], at, context);
    if (value.ok) values[field.key] = value.value;
    else problems.push(...value.problems);
  }
  // Every needed field is there and each was read as what it takes: what the type says.
  return problems.length > 0 ? { ok: false, problems } : good(values as ValuesOf<Fields>);
}
