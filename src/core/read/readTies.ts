import { FACES } from '../model/part/faces';
import type { PartFile } from './runFile';
import { collect, good, refuse, type Result } from '../model/result';
import { readLength, type Context } from './fields';
import type { Mate, Part, Tie } from '../model/part/part';

/** Surfaces by the names that a run-out may use: names of steps, holes and details, `bore` for the only hole, the faces. */
function surfacesOf({ steps, holes, features }: Omit<Part, 'ties' | 'elsewhere'>): Map<string, string> {
  const inside = [...holes.map(({ path }) => path), ...features.filter(({ bore }) => bore).map(({ path }) => path)];
  const finest = features.find(({ kind }) => kind === 'ream') ?? features.find(({ kind }) => kind === 'bore');
  const bore = finest?.path ?? (inside.length === 1 ? inside[0] : undefined);
  return new Map([
    ...Object.values(FACES).map((face) => [face, face] as const),
    ...(bore ? [['bore', bore] as const] : []),
    ...features.flatMap(({ called, path }) => (called ? [[called.toLowerCase(), path] as const] : [])),
    ...holes.flatMap(({ name, path }) => (name ? [[name.toLowerCase(), path] as const] : [])),
    ...steps.flatMap(({ name, path }) => (name ? [[name.toLowerCase(), path] as const] : [])),
  ]);
}

/** Reads which surfaces must run true to which, by their names. */
export function readTies(
  entries: PartFile['runout'],
  part: Omit<Part, 'ties' | 'elsewhere'>,
  context: Context,
): Result<Tie[]> {
  const surfaces = surfacesOf(part);
  const known = [...surfaces.keys()].join(', ');
  return collect(
    (entries ?? []).map((entry, index): Result<Tie> => {
      const path = `part.runout[${index}]`;
      const limit = readLength(entry.limit, context.units, `${path}.limit`);
      if (!limit.ok) return limit;
      if (limit.value <= 0) return refuse(`${path}.limit`, 'must be more than nothing');
      const [of, to] = [entry.of, entry.to].map((name) => surfaces.get(name.trim().toLowerCase()));
      if (of === undefined) return refuse(`${path}.of`, `“${entry.of}” names no surface; there are ${known}`);
      if (to === undefined) return refuse(`${path}.to`, `“${entry.to}” names no surface; there are ${known}`);
      if (of === to) return refuse(`${path}.to`, 'a surface always runs true to itself');
      return good({ path, of, to, limit: limit.value });
    }),
  );
}

/** Reads which other parts fit which of its surfaces, by their names. */
export function readMates(entries: PartFile['mates'], part: Omit<Part, 'ties' | 'elsewhere'>): Result<Mate[]> {
  const surfaces = surfacesOf(part);
  return collect(
    (entries ?? []).map(({ of, name }, index): Result<Mate> => {
      const surface = surfaces.get(of.trim().toLowerCase());
      return surface === undefined
        ? refuse(`part.mates[${index}].of`, `“${of}” names no surface; there are ${[...surfaces.keys()].join(', ')}`)
        : good({ of: surface, name: name.trim() });
    }),
  );
}
