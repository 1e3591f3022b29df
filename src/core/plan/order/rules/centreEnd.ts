import { kindOf } from '../../operations';
import { CENTRE_END } from '../../operations/face';
import type { Operation } from '../../../model/plan/operation';
import type { Rule } from './rule';

const facesItOff = ({ kind, feature }: Operation): boolean => kind === 'face' && feature === CENTRE_END;

/** What is done at the finished face itself, or through it. */
const atFace = ({ from, feature, tool }: Operation): boolean =>
  feature !== CENTRE_END && (tool.mount === 'tailstock' || Math.abs(from) < 1e-6);

/** An end that is left on for a centre goes when all that leans on it is done (docs/rules.md). */
export const centreEnd: Rule = {
  id: 'CENTRE-END',
  strength: 'H',
  before: (before, after) => {
    if (facesItOff(after) && kindOf(before).underCentre && !(before.kind === 'chamfer' && atFace(before)))
      return 'The centre holds the end until everything that leans on it is turned.';
    if (facesItOff(before) && atFace(after) && (after.kind === 'chamfer' || after.tool.mount === 'tailstock'))
      return 'The end for the centre goes first: the finished face is behind it.';
    return undefined;
  },
  asksFor: (operation) =>
    facesItOff(operation) ? 'The hole of the centre goes with it: the part has none.' : undefined,
};
