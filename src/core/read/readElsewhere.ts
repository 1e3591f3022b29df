import { sayFigure } from '../model/units/mark';
import type { Elsewhere } from '../model/part/elsewhere';
import type { ElsewhereFile } from './runFile';
import { andThen, collect, good, refuse, type Result } from '../model/result';
import { sayDiameter } from '../model/words';
import { elsewhereKinds } from './elsewhere';
import type { Surfaces } from './elsewhere/elsewhere';
import type { Context } from './fields';
import type { Feature } from '../model/part/feature';
import type { Part } from '../model/part/part';
import { CLOSE } from '../model/tolerances';

/** Steps and bores by the names that the drawing gives them; a nameless step by its number. */
function surfacesOf({ steps, holes, features }: Omit<Part, 'ties' | 'elsewhere'>, { units }: Context): Surfaces {
  const named = (name: string | undefined, mm: number) => name ?? sayDiameter(mm, units);
  const all = [
    ...steps.map(({ path, name, diameter }, index) => ({
      path,
      inside: false,
      name: named(name, diameter.nominal),
      by: [name, String(index + 1)],
    })),
    ...holes.map(({ path, name, diameter }) => ({
      path,
      inside: true,
      name: named(name, diameter.nominal),
      by: [name],
    })),
    ...features.flatMap(({ path, called, name, bore, size }) =>
      bore && size ? [{ path, inside: true, name: called ?? name, by: [called] }] : [],
    ),
  ];
  return (name, path) => {
    const wanted = name.trim().toLowerCase();
    const found = all.find(({ by }) => by.some((word) => word?.toLowerCase() === wanted));
    const known = all.flatMap(({ by }) => by[0] ?? []).join(', ');
    return found
      ? good(found)
      : refuse(path, `“${name}” names no step and no bore${known ? `; there are ${known}` : '; give it a name'}`);
  };
}

/** What lies on an end of the part, by name: it would go with what is trimmed off there. */
function lyingOn(end: 'front' | 'back', { chamfers, holes, features, length }: Omit<Part, 'ties' | 'elsewhere'>) {
  const z = end === 'front' ? 0 : length;
  const through = ({ z0, z1 }: Feature) => z0 < CLOSE && z1 > length - CLOSE;
  return [
    ...chamfers.filter((chamfer) => Math.abs(chamfer.z - z) < CLOSE).map(() => 'a chamfer'),
    ...holes
      .filter((hole) => !hole.through && hole.from === end)
      .map(({ diameter }) => `the hole ${sayFigure(diameter.nominal)}`),
    ...features
      .filter((feature) => (end === 'front' ? feature.z0 < CLOSE : feature.z1 > length - CLOSE))
      .filter((feature) => !(feature.bore && feature.size && through(feature)))
      .map(({ name }) => name),
  ];
}

/** An end that is trimmed has nothing on it; both ends of a part are not trimmed. */
function checkTrimmed({ kind, end, path }: Elsewhere, part: Omit<Part, 'ties' | 'elsewhere'>): Result<undefined> {
  if (kind !== 'trim' || !end) return good(undefined);
  const [on] = lyingOn(end, part);
  return on === undefined
    ? good(undefined)
    : refuse(
        `${path}.end`,
        `${on} lies on the end that is trimmed at assembly, and would go with it: leave it to the assembly, or trim the other end`,
      );
}

/** Reads the work that the drawing wants done elsewhere, in the order that it is done there. */
export function readElsewhere(
  entries: readonly ElsewhereFile[] | undefined,
  part: Omit<Part, 'ties' | 'elsewhere'>,
  context: Context,
): Result<Elsewhere[]> {
  const surfaces = surfacesOf(part, context);
  const order = (elsewhere: Elsewhere) => elsewhereKinds.findIndex(({ kind }) => kind === elsewhere.kind);
  const read = collect(
    (entries ?? []).map((entry, index): Result<Elsewhere> => {
      const path = `part.elsewhere[${index}]`;
      const kind = elsewhereKinds.find((elsewhereKind) => elsewhereKind.kind === entry.kind);
      if (!kind) return refuse(`${path}.kind`, `“${entry.kind}” is not known here`);
      return andThen(kind.read(entry, path, surfaces, context), (read) =>
        andThen(checkTrimmed(read, part), () => good(read)),
      );
    }),
  );
  return read.ok ? good([...read.value].sort((a, b) => order(a) - order(b))) : read;
}
