import { good, refuse, type Result } from './result';

/** The steps of a path: `part.outside[0].diameter` is part, outside, 0, diameter. */
const stepsOf = (path: string): string[] => path.split(/[.[\]]+/).filter(Boolean);

type Open = Record<string, unknown>;
const isOpen = (value: unknown): value is Open => typeof value === 'object' && value !== null;

/** What stands at a path of a document; undefined where it leads nowhere. */
export const valueAt = (document: unknown, path: string): unknown =>
  stepsOf(path).reduce<unknown>((at, step) => (isOpen(at) ? at[step] : undefined), document);

/**
 * A document with one value changed at a path; what lies above it is made where it is missing, but no entry of a list.
 * @returns the changed copy, or where the path leads nowhere
 */
export function setPath(document: unknown, path: string, value: unknown): Result<unknown> {
  const steps = stepsOf(path);
  if (steps.length === 0) return refuse(path, 'is no path; write one like part.outside[0].diameter');
  const put = (at: unknown, [step = '', ...rest]: string[], so: string): Result<unknown> => {
    const here = so ? `${so}.${step}` : step;
    if (at !== undefined && !isOpen(at)) return refuse(so, `is ${JSON.stringify(at)}, and has no “${step}” in it`);
    if (Array.isArray(at) && !(step in at))
      return refuse(
        here,
        `is not there: the list has ${at.length} ${at.length === 1 ? 'entry' : 'entries'}, counted from 0`,
      );
    const inner = rest.length === 0 ? good(value) : put(at?.[step], rest, here);
    if (!inner.ok) return inner;
    return good(
      Array.isArray(at)
        ? (at as unknown[]).map((item, index) => (String(index) === step ? inner.value : item))
        : { ...at, [step]: inner.value },
    );
  };
  return put(document, steps, '');
}
