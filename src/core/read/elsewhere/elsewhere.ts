import type { Elsewhere } from '../../model/part/elsewhere';
import type { Result } from '../../model/result';
import type { Context, Field, Values } from '../fields';

/** A surface by its name, or why there is none. */
export type Surfaces = (name: string, path: string) => Result<{ path: string; inside: boolean; name: string }>;

/** A kind of work elsewhere, as the drawing says it. A new kind is one new file here and one in `plan/outside`. */
export interface ElsewhereKind {
  kind: string;
  label: string;
  fields: readonly Field[];
  read(values: Values, path: string, surfaces: Surfaces, context: Context): Result<Elsewhere>;
}

/** On which surface, by its name. */
export const ON: Field = { key: 'on', label: 'On', takes: 'text', needed: true, hint: 'a step or a hole by its name' };
