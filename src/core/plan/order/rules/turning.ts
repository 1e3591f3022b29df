import type { Operation } from '../../../model/plan/operation';
import { kindOf } from '../../operations';
import { CENTRE_END } from '../../operations/face';
import { areClose, turns } from '../../operations/turned';
import type { Setup } from '../../../model/plan/setup';
import { FINISHING, TURNING, type Rule } from './rule';

export const roughThenFinish: Rule = {
  id: 'ROUGH-THEN-FINISH',
  strength: 'H',
  first: ['turn-rough'],
  then: ['turn-finish'],
  before: (before, after) => (turns(after, before.feature) ? 'The finish takes what roughing leaves.' : undefined),
};

export const roughAllFirst: Rule = {
  id: 'ROUGH-ALL-FIRST',
  strength: 'S',
  first: ['turn-rough', 'drill'],
  then: FINISHING,
  before: (before, after, { run }) =>
    run.shop.houseRules.roughing === 'all-first' && !turns(after, before.feature)
      ? 'Heavy cuts and drilling warm and move the work: all of them before any finishing.'
      : undefined,
};

/** Whether two steps are finished that lie closer than roughing leaves for that. */
const isFinishedClose = (one: Operation, other: Operation, setup: Setup): boolean =>
  one.kind === 'turn-finish' && areClose(setup, one.feature, other.feature);

export const closeSmallFirst: Rule = {
  id: 'CLOSE-SMALL-FIRST',
  strength: 'S',
  first: ['turn-finish'],
  then: ['turn-finish'],
  before: (before, after, setup) =>
    before.to < after.to - 1e-6 &&
    (before.diameter ?? 0) < (after.diameter ?? 0) &&
    isFinishedClose(before, after, setup)
      ? 'Roughed, the smaller stands higher than this is to be: the tool would come in through it.'
      : undefined,
};

export const bigFirst: Rule = {
  id: 'BIG-FIRST',
  strength: 'S',
  first: TURNING,
  then: TURNING,
  before: (before, after, setup) =>
    before.kind === after.kind &&
    before.to > after.to + 1e-6 &&
    (before.diameter ?? 0) > (after.diameter ?? 0) &&
    !isFinishedClose(before, after, setup)
      ? 'The larger diameter nearer the chuck first: the metal behind the cut stays stiff.'
      : undefined,
};

/** Whether a centre hole is the one that the centre goes into: in an end left on for it, where there is one. */
const seatsTheCentre = ({ kind, feature }: Operation, { supported, centreEnd }: Setup): boolean =>
  supported && kind === 'centre' && (centreEnd === 0 || feature === CENTRE_END);

export const centreSupport: Rule = {
  id: 'CENTRE-SUPPORT',
  strength: 'H',
  first: ['centre'],
  before: (before, after, setup) =>
    kindOf(after).underCentre && seatsTheCentre(before, setup)
      ? 'The free end stands out too far to be turned without a centre.'
      : undefined,
  asksFor: (operation, setup) => {
    if (!seatsTheCentre(operation, setup)) return undefined;
    return setup.centreEnd > 0
      ? 'The seat of the centre, in the end that is left on for it.'
      : 'The free end stands out too far: this is the seat of the centre.';
  },
};
