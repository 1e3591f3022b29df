import type { Surroundings } from '../featureKind';
import { cylinder, mirrored, type Segment } from '../../model/workpiece/segment';
import { good, refuse, type Result } from '../../model/result';
import { say } from '../../model/words';
import type { Dimension } from '../../model/part/feature';
import type { Size } from '../../model/part/size';
import type { Field, ValuesOf } from '../fields';

/** From which end a hole goes in. */
export const FROM = { key: 'from', label: 'From', takes: ['front', 'back'], needed: true } as const satisfies Field;

/** A depth from the face it goes in at, or through. */
export const DEPTH = {
  key: 'depth',
  label: 'Depth',
  takes: 'depth',
  needed: true,
  hint: 'or “through”',
} as const satisfies Field;

/** Why it is critical, where it is. */
export const WHY = { key: 'why', label: 'Critical because', takes: 'text' } as const satisfies Field;

/** What a hole is called where others refer to it. */
export const NAME = { key: 'name', label: 'Name', takes: 'text' } as const satisfies Field;

/** The depth, mm, at the middle of its limits; of a through hole the length of the part. A blind one must end within it. */
export function depthOf(
  { depth: read }: Pick<ValuesOf<readonly [typeof DEPTH]>, 'depth'>,
  path: string,
  { length, units }: Surroundings,
): Result<{ depth: number; through: boolean; deep?: Size }> {
  if (read === 'through') return good({ depth: length, through: true });
  const deep = typeof read === 'number' ? undefined : read;
  const depth = typeof read === 'number' ? read : read.aim;
  if (depth > length - 0.001)
    return refuse(
      `${path}.depth`,
      `${say(depth, units)} is as deep as the part is long (${say(length, units)}); write “through” if it goes through`,
    );
  return good({ depth, through: false, ...(deep ? { deep } : {}) });
}

/** A bore profile given from its own face, as it lies in the part. */
export const seenFrom = (from: 'front' | 'back', bore: Segment[], length: number): Segment[] =>
  from === 'front' ? bore : bore.map((segment) => mirrored(segment, length)).reverse();

/** Place on the part of a distance from the face the hole goes in at. */
export const placeOf = (from: 'front' | 'back', distance: number, length: number): number =>
  from === 'front' ? distance : length - distance;

/** How deep, for the drawing. */
export const depthDimension = (from: 'front' | 'back', depth: number, length: number, deep?: Size): Dimension => ({
  kind: 'length',
  ...(deep ? { size: deep } : {}),
  z0: from === 'front' ? 0 : length - depth,
  z1: from === 'front' ? depth : length,
});

/** A straight hole with a flat bottom. */
export const straight = (from: 'front' | 'back', depth: number, radius: number, length: number): Segment[] =>
  seenFrom(from, [cylinder(0, depth, radius)], length);
