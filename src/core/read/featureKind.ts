import type { Feature } from '../model/part/feature';
import { readFields, type Context, type Field, type TypedIn, type ValuesOf } from './fields';
import { andThen, type Result } from '../model/result';
import type { Size } from '../model/part/size';
import type { Segment } from '../model/workpiece/segment';

/** What a detail or a bore is read against: the outside as it stands so far, at nominal sizes. */
export interface Surroundings extends Context {
  length: number;
  /** The outside with its shapes, before any detail. */
  outside: readonly Segment[];
  /** Places where one step ends and the next begins. */
  edges: readonly number[];
  /** The steps as they are written, whose names are those of their faces. */
  steps: readonly { name?: string }[];
}

/** A kind of feature that sits on the outside or in the bore, as readers, files and pages see it. */
export interface FeatureKind<Kind extends string = string, Fields extends readonly Field[] = readonly Field[]> {
  kind: Kind;
  /** As the page offers it. */
  label: string;
  fields: Fields;
  /** Sits on a corner, which takes no limits of its own. */
  onCorner?: true;
  /** @param known what follows from elsewhere, for fields that the entry leaves out */
  read(entry: object, path: string, around: Surroundings, known?: { readonly at?: Size }): Result<Feature>;
}

/**
 * A kind of feature. Its file is the only place that knows it; a new kind is one new file, listed in its folder's index.
 * What its fields are called and take says what it reads, and what a file may write.
 */
export const featureKind = <const Kind extends string, const Fields extends readonly Field[]>(
  kind: Omit<FeatureKind<Kind, Fields>, 'read'> & {
    read(values: ValuesOf<Fields>, path: string, around: Surroundings): Result<Feature>;
  },
): FeatureKind<Kind, Fields> => ({
  ...kind,
  read: (entry, path, around, known) =>
    andThen(readFields(kind.fields, entry, path, around, known), (values) => kind.read(values, path, around)),
});

/** An entry of one of several kinds, as a file writes it: its kind says which fields it has. */
export type EntryOf<Key extends 'kind' | 'shape', Kind> = Kind extends { fields: infer Fields extends readonly Field[] }
  ? { [K in Key]: Kind extends { kind: infer Name } | { shape: infer Name } ? Name : never } & TypedIn<Fields>
  : never;
