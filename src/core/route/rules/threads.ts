import type { Operation } from '../operation';
import type { Rule } from './rule';
import { turns } from './rule';

const threads = ({ kind }: Operation): boolean => kind === 'thread' || kind === 'die';

/** Whether what one operation cuts lies on the other's length, or against its end. */
const beside = (a: Operation, b: Operation): boolean =>
  Math.min(a.from, a.to) < Math.max(b.from, b.to) + 1e-6 && Math.max(a.from, a.to) > Math.min(b.from, b.to) - 1e-6;

export const reliefFirst: Rule = {
  id: 'RELIEF-FIRST',
  strength: 'H',
  before: (before, after, { part }) => {
    if (!threads(after) || threads(before)) return undefined;
    const step = part.steps.find(({ path }) => path === before.feature);
    const under = turns(before) && step !== undefined && step.zFrom < after.to - 1e-6 && step.zTo > after.from + 1e-6;
    const cutsIn = ['groove', 'form', 'vee', 'taper', 'chamfer'].includes(before.kind) && !before.removal.bore;
    return under || (cutsIn && beside(before, after))
      ? 'Its diameter, its relief and the chamfer that leads in are there before the thread.'
      : undefined;
  },
};

export const threadLate: Rule = {
  id: 'THREAD-LATE',
  strength: 'S',
  before: (before, after) =>
    (threads(after) && turns(before)) || (threads(after) && before.kind === 'knurl')
      ? 'Nothing is turned or pressed against a finished thread.'
      : undefined,
};
