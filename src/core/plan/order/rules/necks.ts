import type { Operation } from '../../../model/plan/operation';
import type { Setup } from '../../../model/plan/setup';
import { timesByItself } from '../../holding/support';
import { TURNING, type Rule } from './rule';

/** What cuts a neck into the outside. */
const NECKS: readonly string[] = ['groove', 'vee', 'form', 'turn-behind'];

/**
 * Where an operation leaves the work thinnest, and how thin, mm, where that is thinner than the house lets stand out so far by
 * itself.
 */
function weakAt(
  { removal }: Operation,
  { stickOut, supported, run }: Setup,
): { z: number; diameter: number } | undefined {
  const places = (removal.outside ?? []).flatMap(({ z0, z1, r0, r1 }) => [
    { z: z0, diameter: 2 * r0 },
    { z: z1, diameter: 2 * r1 },
  ]);
  const [thinnest] = places.sort((a, b) => a.diameter - b.diameter);
  return thinnest && !supported && stickOut.value > timesByItself(run) * thinnest.diameter ? thinnest : undefined;
}

/** A neck weakens whatever stands before it: what presses on that is done while there is metal behind it. */
export const neckLate: Rule = {
  id: 'NECK-LATE',
  strength: 'S',
  first: [...TURNING, 'knurl', 'chamfer'],
  then: NECKS,
  before(before, after, setup) {
    const weak = weakAt(after, setup);
    const isBefore = weak && before.from < weak.z - 1e-6 && (before.diameter ?? Infinity) > weak.diameter;
    return isBefore ? 'It weakens what stands before it: after the cuts that press there.' : undefined;
  },
};
