import type { Elsewhere } from '../model/part/elsewhere';
import type { ElsewhereFile } from './runFile';
import { collect, good, refuse, type Result } from '../model/result';
import { sayDiameter } from '../model/words';
import { elsewhereKinds } from './elsewhere';
import type { Surfaces } from './elsewhere/elsewhere';
import type { Context } from './fields';
import type { Part } from '../model/part/part';

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
      return kind.read(entry, path, surfaces, context);
    }),
  );
  return read.ok ? good([...read.value].sort((a, b) => order(a) - order(b))) : read;
}
