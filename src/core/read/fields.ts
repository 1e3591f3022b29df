import { bad, good, refuse, type Problem, type Result, missing } from '../model/result';
import { parseLength, type UnitSystem } from '../model/units/length';
import { readPlace, readSize, sizeObject, type LengthEntry, type Size, type SizeEntry } from '../model/part/size';
import type { GeneralClass } from '../model/part/tolerance';

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
  /** Shown where it is typed. */
  hint?: string;
}

/** How lengths without a unit are meant, and which general tolerance applies. */
export interface Context {
  units: UnitSystem;
  general: GeneralClass;
}

/** What an entry said, read: asked for by key. A needed field is there; asking for one that is not is a bug. */
export interface Values {
  /** mm, degrees, µm or a count; of a place where it is, its limits apart. */
  number(key: string): number;
  optional(key: string): number | undefined;
  size(key: string): Size;
  optionalSize(key: string): Size | undefined;
  text(key: string): string | undefined;
}

export type Value = number | Size | string;

const isBlank = (entry: unknown) => entry === undefined || (typeof entry === 'string' && entry.trim() === '');

/** Reads a plain length at a path, mm. */
export function readLength(entry: LengthEntry, units: UnitSystem, path: string): Result<number> {
  const length = parseLength(entry, units);
  return length.ok ? length : bad(...length.problems.map((problem) => ({ ...problem, path })));
}

function readPositive(entry: LengthEntry, units: UnitSystem, path: string): Result<number> {
  const length = readLength(entry, units, path);
  return length.ok && length.value <= 0 ? refuse(path, `${entry} must be more than nothing`) : length;
}

function readNumber(entry: unknown, path: string, what: string, accepts: (value: number) => boolean): Result<number> {
  const value = Number(String(entry).trim().replace(/°$/, '').replace(',', '.'));
  return Number.isFinite(value) && accepts(value) ? good(value) : refuse(path, `“${String(entry)}” is not ${what}`);
}

/** Through, or how deep; a size only where the drawing gives it limits of its own. */
function readDepth(entry: SizeEntry, context: Context, path: string): Result<Value> {
  if (String(entry).trim().toLowerCase() === 'through') return good('through');
  const parts = sizeObject(entry);
  if (typeof parts !== 'object') return readPositive(parts, context.units, path);
  return parts.fit || parts.limits
    ? readSize(parts, { ...context, path })
    : readPositive(parts.size, context.units, path);
}

function readField({ takes }: Field, entry: unknown, path: string, context: Context): Result<Value> {
  if (Array.isArray(takes)) {
    const word = String(entry).trim().toLowerCase();
    return takes.includes(word)
      ? good(word)
      : refuse(path, `“${String(entry)}” is not known here; it can be ${takes.join(', ')}`);
  }
  switch (takes as Exclude<Takes, readonly string[]>) {
    case 'length':
      return readPositive(entry as LengthEntry, context.units, path);
    case 'place':
      return readPlace(entry as SizeEntry, { ...context, path });
    case 'size':
      return readSize(entry as SizeEntry, { ...context, path });
    case 'depth':
      return readDepth(entry as SizeEntry, context, path);
    case 'angle':
      return readNumber(entry, path, 'an angle; write degrees, as 60', (value) => value > 0 && value < 180);
    case 'turn':
      return readNumber(entry, path, 'an angle; write degrees, as 0 or 45', (value) => value >= 0 && value < 360);
    case 'roughness':
      return readNumber(entry, path, 'a roughness; write Ra in µm, as 1.6', (value) => value > 0);
    case 'count':
      return readNumber(entry, path, 'a whole number', (value) => Number.isInteger(value) && value > 0);
    case 'face':
    case 'text':
      return good(String(entry).trim());
  }
}

/**
 * Reads the fields of an entry.
 * @param known values that follow from elsewhere, for fields left empty
 * @returns its values, or every field that cannot be read with its path
 */
export function readFields(
  fields: readonly Field[],
  entry: object,
  path: string,
  context: Context,
  known: Partial<Record<string, Value>> = {},
): Result<Values> {
  const given = entry as Record<string, unknown>;
  const problems: Problem[] = [];
  const values = new Map<string, Value>();
  for (const field of fields) {
    const at = `${path}.${field.key}`;
    if (isBlank(given[field.key])) {
      const value = known[field.key];
      if (value !== undefined) values.set(field.key, value);
      else if (field.needed) problems.push(missing(at));
      continue;
    }
    const value = readField(field, given[field.key], at, context);
    if (value.ok) values.set(field.key, value.value);
    else problems.push(...value.problems);
  }
  if (problems.length > 0) return { ok: false, problems };
  const is = <T extends Value>(key: string, kind: 'number' | 'object' | 'string') => {
    const value = values.get(key);
    return typeof value === kind ? (value as T) : undefined;
  };
  const needed = <T>(key: string, value: T | undefined): T => {
    if (value === undefined) throw new Error(`${path}.${key} was not read`);
    return value;
  };
  return good({
    optional: (key) => is<number>(key, 'number'),
    optionalSize: (key) => is<Size>(key, 'object'),
    text: (key) => is<string>(key, 'string'),
    number: (key) => needed(key, is<number>(key, 'number') ?? is<Size>(key, 'object')?.nominal),
    size: (key) => needed(key, is<Size>(key, 'object')),
  });
}
