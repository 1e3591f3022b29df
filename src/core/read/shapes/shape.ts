import type { Segment } from '../../model/workpiece/segment';
import { andThen, type Result } from '../../model/result';
import { readFields, type Context, type Field, type ValuesOf } from '../fields';
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
export const LENGTH = {
  key: 'length',
  label: 'Length',
  takes: 'size',
  needed: true,
  follows: true,
} as const satisfies Field;

/** A shape that a step can have, as readers, files and pages see it. */
export interface StepShape<Name extends string = string, Fields extends readonly Field[] = readonly Field[]> {
  shape: Name;
  label: string;
  fields: Fields;
  /** @param known what follows from elsewhere, for fields that the entry leaves out */
  read(entry: object, path: string, place: Place, known?: { length?: Size }): Result<Shape>;
}

/** A shape that a step can have. A new one is a new file in this folder, listed in its index. */
export const stepShape = <const Name extends string, const Fields extends readonly Field[]>(
  shape: Omit<StepShape<Name, Fields>, 'read'> & {
    read(values: ValuesOf<Fields>, path: string, place: Place): Result<Shape>;
  },
): StepShape<Name, Fields> => ({
  ...shape,
  read: (entry, path, place, known) =>
    andThen(readFields(shape.fields, entry, path, place, known), (values) => shape.read(values, path, place)),
});
