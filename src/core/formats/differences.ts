import { pathOf } from '../read/placePath';

/** One place where two documents say different things; undefined where a side has nothing. */
export interface Difference {
  path: string;
  mine: string | undefined;
  theirs: string | undefined;
}

function leaves(value: unknown, path: (string | number)[] = []): [string, string][] {
  if (value === null || value === undefined || value === '') return [];
  if (typeof value !== 'object') return [[pathOf(path), String(value)]];
  return Object.entries(value).flatMap(([key, inner]) =>
    leaves(inner, [...path, Array.isArray(value) ? Number(key) : key]),
  );
}

/** Where two versions of a document differ, place by place. What is empty counts as absent. */
export function differences(mine: unknown, theirs: unknown): Difference[] {
  const [left, right] = [new Map(leaves(mine)), new Map(leaves(theirs))];
  return [...new Set([...left.keys(), ...right.keys()])]
    .filter((path) => left.get(path) !== right.get(path))
    .map((path) => ({ path, mine: left.get(path), theirs: right.get(path) }));
}
