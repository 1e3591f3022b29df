import type { Operation } from '../../../model/plan/operation';
import { stepsOf } from '../../operations/turned';
import { TURNING, type Rule } from './rule';

const THREADING = ['thread', 'die'];

/** Whether what one operation cuts lies on the other's length, or against its end. */
const beside = (a: Operation, b: Operation): boolean =>
  Math.min(a.from, a.to) < Math.max(b.from, b.to) + 1e-6 && Math.max(a.from, a.to) > Math.min(b.from, b.to) - 1e-6;

export const reliefFirst: Rule = {
  id: 'RELIEF-FIRST',
  strength: 'H',
  then: THREADING,
  before: (before, after, { part }) => {
    if (THREADING.includes(before.kind)) return undefined;
    const under =
      TURNING.includes(before.kind) &&
      stepsOf(before, part).some(({ zFrom, zTo }) => zFrom < after.to - 1e-6 && zTo > after.from + 1e-6);
    const cutsIn =
      ['groove', 'turn-behind', 'form', 'vee', 'taper', 'chamfer'].includes(before.kind) && !before.removal.bore;
    return under || (cutsIn && beside(before, after))
      ? 'Its diameter, its relief and the chamfer that leads in are there before the thread.'
      : undefined;
  },
};

export const threadLate: Rule = {
  id: 'THREAD-LATE',
  strength: 'S',
  first: [...TURNING, 'knurl'],
  then: THREADING,
  before: () => 'Nothing is turned or pressed against a finished thread.',
};
