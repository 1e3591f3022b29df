import type { Profile } from '../../model/workpiece/segment';
import type { Surroundings } from '../featureKind';
import { lower, radiusAt } from '../../model/workpiece/profile';
import { volume } from '../../model/workpiece/measure';
import { refuse, type Result } from '../../model/result';
import { say } from '../../model/words';
import type { Field } from '../fields';
import { CLOSE } from '../../model/tolerances';

/** Where a detail begins, from the finished front face. */
export const AT = {
  key: 'at',
  label: 'At',
  takes: 'place',
  needed: true,
  hint: 'from the finished front face; with limits where the drawing has some',
} as const satisfies Field;

/** The face that `at` is measured from, where the drawing does not take the front. */
export const DATUM = {
  key: 'datum',
  label: 'From face',
  takes: 'face',
  hint: 'front, back, or a step by name or number; empty is the front',
} as const satisfies Field;

/** What a detail is called where others refer to it. */
export const NAME = { key: 'name', label: 'Name', takes: 'text' } as const satisfies Field;

/** Smallest radius of the outside between two places; what a detail there stands on. */
export const lowestRadius = (outside: Profile, from: number, to: number): number =>
  outside.reduce(
    (least, { z0, z1, r0, r1 }) => (z1 > from + CLOSE && z0 < to - CLOSE ? Math.min(least, r0, r1) : least),
    Infinity,
  );

/** Radius of the outside just inside a place, so that a shoulder counts as the side the detail is on. */
export const radiusBeside = (outside: Profile, z: number, side: 1 | -1): number => radiusAt(outside, z + side * CLOSE);

/** Refuses what lies off the part. */
export function offPart(
  path: string,
  from: number,
  to: number,
  { length, units }: Surroundings,
): Result<never> | undefined {
  if (from >= -CLOSE && to <= length + CLOSE) return undefined;
  return refuse(
    path,
    `lies from ${say(from, units)} to ${say(to, units)}, and the part from 0 to ${say(length, units)}`,
  );
}

/** Refuses a cut that takes nothing away. */
export function inAir(path: string, cut: Profile, outside: Profile, what: string): Result<never> | undefined {
  return volume(lower(outside, cut)) < volume(outside) - 1e-6
    ? undefined
    : refuse(path, `${what} takes nothing away there`);
}
