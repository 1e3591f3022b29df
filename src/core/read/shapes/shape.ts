import type { Segment } from '../../model/workpiece/segment';
import type { Result } from '../../model/result';
import type { Context, Field, Values } from '../fields';
import type { Feature } from '../../model/part/feature';
import type { Size } from '../../model/part/size';

/** Where a step is read: its front edge on z, and whether the part begins or ends with it. */
export interface Place extends Context {
  z: number;
  first: boolean;
  last: boolean;
}

/** A step of the outside, read. */
export interface Shape {
  length: Size;
  /** The cylinder that turning leaves for it: its largest diameter. */
  diameter: Size;
  /** Its own outline. */
  outline: Segment[];
  /** What it is beyond that cylinder. */
  feature?: Feature;
}

/** How long a step is; left empty, it follows from the lengths that the drawing gives between faces. */
export const LENGTH: Field = { key: 'length', label: 'Length', takes: 'size', needed: true, follows: true };

/** A shape that a step can have. A new one is a new file in this folder, listed in its index. */
export interface StepShape {
  shape: string;
  label: string;
  fields: readonly Field[];
  read(values: Values, path: string, place: Place): Result<Shape>;
}
