import type { Result } from '../../result';
import type { Context, Field, Values } from '../fields';

/** Work of the drawing that another machine or another firm does, and what the lathe has to leave for it. */
export interface Elsewhere {
  path: string;
  kind: string;
  /** In words, for plan and drawing. */
  name: string;
  /** Paths of the surfaces that it is about; empty for the whole part. */
  on: string[];
  /** A length that it says: the thickness of a plating, what is left to grind, growth; mm. */
  length?: number;
}

/** A surface by its name, or why there is none. */
export type Surfaces = (name: string, path: string) => Result<{ path: string; inside: boolean; name: string }>;

/** A kind of work elsewhere, as the drawing says it. A new kind is one new file here and one in `route/outside`. */
export interface ElsewhereKind {
  kind: string;
  label: string;
  fields: readonly Field[];
  read(values: Values, path: string, surfaces: Surfaces, context: Context): Result<Elsewhere>;
}

/** On which surface, by its name. */
export const ON: Field = { key: 'on', label: 'On', takes: 'text', needed: true, hint: 'a step or a hole by its name' };
