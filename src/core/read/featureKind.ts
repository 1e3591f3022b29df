import type { Feature } from '../model/part/feature';
import type { Context, Field, Values } from './fields';
import type { Result } from '../model/result';
import type { Segment } from '../model/workpiece/segment';
import type { StepFile } from './runFile';

/** What a detail or a bore is read against: the outside as it stands so far, at nominal sizes. */
export interface Surroundings extends Context {
  length: number;
  /** The outside with its shapes, before any detail. */
  outside: readonly Segment[];
  /** Places where one step ends and the next begins. */
  edges: readonly number[];
  /** The steps as they are written, whose names are those of their faces. */
  steps: readonly StepFile[];
}

/**
 * A kind of feature that sits on the outside or in the bore. Its file is the only place that knows it; a new kind is one
 * new file, listed in its folder's index.
 */
export interface FeatureKind {
  kind: string;
  /** As the page offers it. */
  label: string;
  fields: readonly Field[];
  /** Sits on a corner, or in a face, and so has no place of its own. */
  onCorner?: true;
  inFace?: true;
  read(values: Values, path: string, around: Surroundings): Result<Feature>;
}
