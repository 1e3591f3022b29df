import type { Elsewhere } from '../../model/part/elsewhere';
import { andThen, type Result } from '../../model/result';
import { readFields, type Context, type Field, type ValuesOf } from '../fields';

/** A surface by its name, or why there is none. */
export type Surfaces = (name: string, path: string) => Result<{ path: string; inside: boolean; name: string }>;

/** A kind of work elsewhere, as readers, files and pages see it. */
export interface ElsewhereKind<Kind extends string = string, Fields extends readonly Field[] = readonly Field[]> {
  kind: Kind;
  label: string;
  fields: Fields;
  read(entry: object, path: string, surfaces: Surfaces, context: Context): Result<Elsewhere>;
}

/** A kind of work elsewhere, as the drawing says it. A new kind is one new file here and one in `plan/outside`. */
export const elsewhereKind = <const Kind extends string, const Fields extends readonly Field[]>(
  kind: Omit<ElsewhereKind<Kind, Fields>, 'read'> & {
    read(values: ValuesOf<Fields>, path: string, surfaces: Surfaces, context: Context): Result<Elsewhere>;
  },
): ElsewhereKind<Kind, Fields> => ({
  ...kind,
  read: (entry, path, surfaces, context) =>
    andThen(readFields(kind.fields, entry, path, context), (values) => kind.read(values, path, surfaces, context)),
});

/** On which surface, by its name. */
export const ON = {
  key: 'on',
  label: 'On',
  takes: 'text',
  needed: true,
  hint: 'a step or a hole by its name',
} as const satisfies Field;
