import type Joi from 'joi';
import { pathOf } from './placePath';
import { bad, good, type Problem, type Result, missing } from '../model/result';

/** Kinds of finding that say that nothing is there. */
const MISSING = ['any.required', 'string.empty'];

const WORDS: Record<string, string> = {
  'any.required': 'is missing',
  'any.only': '“{#value}” is not known here; it can be {#valids}',
  'any.unknown': 'is not known here; remove it or check its name',
  'object.unknown': 'is not known here; remove it or check its name',
  'object.missing': 'says nothing: it must have one of {#peers}',
  'object.xor': 'says two things at once: it can have only one of {#peers}',
  'object.base': 'must be a group of values in curly brackets',
  'array.base': 'must be a list in square brackets',
  'array.max': 'has more than {#limit} entries',
  'string.base': 'must be text',
  'string.empty': 'is missing',
  'string.max': 'is longer than {#limit} characters',
  'string.pattern.base': '“{#value}” is not written as it must be',
  'number.base': 'must be a number',
  'number.integer': '{#value} must be a whole number',
  'number.min': '{#value} must be at least {#limit}',
  'number.max': '{#value} must be at most {#limit}',
  'number.positive': '{#value} must be more than nothing',
  'alternatives.types': 'must be {#types}',
  'alternatives.match': 'is not one of the forms this can have',
};

/** Keys that say what an entry is. */
const KINDS = ['shape', 'kind', 'format'];

/** Names that every object answers to: an entry of that name would stand in for what the language itself asks. */
const STRANGE = new Set(['__proto__', 'constructor', 'hasOwnProperty', 'prototype', 'toJSON', 'toString', 'valueOf']);

/** Entries within entries: far more than any format has. */
const DEEPEST = 40;

/**
 * What no format has anywhere, looked for before a schema does: names that would be called rather than read, and
 * entries within entries without end.
 */
function strangeness(value: unknown): Problem | undefined {
  const open: { value: unknown; path: (string | number)[] }[] = [{ value, path: [] }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: at, path } = next;
    if (typeof at !== 'object' || at === null) continue;
    if (path.length > DEEPEST)
      return { path: pathOf(path.slice(0, 4)), message: `has more than ${DEEPEST} entries within each other` };
    for (const key of Object.keys(at)) {
      if (STRANGE.has(key))
        return { path: pathOf([...path, key]), message: 'is not known here; remove it or check its name' };
      open.push({
        value: (at as Record<string, unknown>)[key],
        path: [...path, Array.isArray(at) ? Number(key) : key],
      });
    }
  }
  return undefined;
}

/** Checks a value of unknown make against a schema and turns what is wrong into problems with path and words. */
export function checkShape<T>(schema: Joi.Schema<T>, value: unknown): Result<T> {
  const strange = strangeness(value);
  if (strange) return bad(strange);
  const outcome = schema.validate(value, {
    abortEarly: false,
    errors: { label: false, wrap: { label: false, string: false, array: false } },
    messages: WORDS,
  });
  if (!outcome.error) return good(outcome.value as T);
  const { details } = outcome.error;
  // Of an entry whose kind is not known, the kind is what is wrong; its other keys belong to that kind.
  const unknownKinds = details
    .filter(({ type, path }) => type === 'any.only' && KINDS.includes(String(path.at(-1))))
    .map(({ path }) => path);
  const inStrange = (path: readonly (string | number)[]) =>
    unknownKinds.some((kind) => path !== kind && kind.slice(0, -1).every((key, index) => path[index] === key));
  return bad(
    ...details
      .filter(({ path }) => !inStrange(path))
      .map(({ path, message, type }): Problem =>
        MISSING.includes(type) ? missing(pathOf(path)) : { path: pathOf(path), message },
      ),
  );
}
