import type { Operation } from '../../../model/plan/operation';
import type { Setup } from '../../../model/plan/setup';
import { CLOSE } from '../../../model/tolerances';
import { stepsOf } from '../../operations/turned';
import { TURNING, type Rule } from './rule';

export const edgeAfterSurfaces: Rule = {
  id: 'EDGE-AFTER-SURFACES',
  strength: 'H',
  first: TURNING,
  then: ['chamfer'],
  before: (before, after, { part, run }) => {
    const chamfer = part.chamfers.find(({ path }) => path === after.feature);
    if (!chamfer) return undefined;
    const makesDiameter = stepsOf(before, part).some(({ path }) => path === chamfer.step);
    // Roughing ends that much before it.
    const makesShoulder = Math.abs(before.to - chamfer.z) <= run.shop.allowances.shoulder + 1e-6;
    return makesDiameter || makesShoulder ? 'An edge is broken when both surfaces that make it are there.' : undefined;
  },
};

/** Whether an end of a groove is a shoulder: what stands there is wider than what the groove is cut into. */
const endsAtShoulder = ({ from, to }: Operation, { part }: Setup): boolean =>
  [from, to].some((end) => {
    const [before, after] = [
      part.steps.find(({ zTo }) => Math.abs(zTo - end) < CLOSE),
      part.steps.find(({ zFrom }) => Math.abs(zFrom - end) < CLOSE),
    ];
    return before !== undefined && after !== undefined && before.diameter.nominal !== after.diameter.nominal;
  });

/** Whether a step that an operation turns is one that another then cuts into, or lies so far beside. */
const turnsUnder = (before: Operation, after: Operation, { part }: Setup, beside = -CLOSE): boolean =>
  stepsOf(before, part).some(({ zFrom, zTo }) => zFrom < after.to + beside && zTo > after.from - beside);

export const grooveAfterOd: Rule = {
  id: 'GROOVE-AFTER-OD',
  strength: 'S',
  first: ['turn-finish'],
  then: ['groove', 'turn-behind'],
  before: (before, after, setup) =>
    turnsUnder(before, after, setup) && !endsAtShoulder(after, setup)
      ? 'The diameter that a groove sits in is finished first: the groove has no burr then.'
      : undefined,
};

/** A relief may be first: it fixes the length and gives the tool its run-out. Which of the two is a school's choice. */
export const reliefAfterOd: Rule = {
  ...grooveAfterOd,
  id: 'RELIEF-AFTER-OD',
  strength: 'C',
  before: (before, after, setup) =>
    turnsUnder(before, after, setup) && endsAtShoulder(after, setup)
      ? 'The diameter that a relief sits in is finished first, so that it has no burr; plunged first, it fixes the length and lets the tool run out.'
      : undefined,
};

/** Kinds of operation that cut a shape out of a cylinder. */
const SHAPED = ['taper', 'vee', 'form', 'knurl'];

export const shapeAfterCylinder: Rule = {
  id: 'SHAPE-AFTER-CYLINDER',
  strength: 'H',
  first: TURNING,
  then: SHAPED,
  before(before, after, setup) {
    if (after.removal.bore) return undefined;
    if (turnsUnder(before, after, setup)) return 'It is cut out of the cylinder that turning leaves.';
    return after.kind !== 'knurl' && turnsUnder(before, after, setup, CLOSE)
      ? 'It runs out on the diameter beside it.'
      : undefined;
  },
};

/** The room that a blade makes down to the bottom of a flat vee, or at the ends of a wide recess (ours). */
export const roomFirst: Rule = {
  id: 'ROOM-FIRST',
  strength: 'H',
  first: ['groove'],
  then: ['vee', 'turn-behind'],
  before: (before, after) =>
    before.feature === after.feature
      ? 'A blade makes room down to the bottom, where the next tool is let in.'
      : undefined,
};

/** Work on edges, and what whoever plans adds, which is done while the piece is there. */
const breaksEdges = ({ kind }: Operation): boolean => ['chamfer', 'deburr', 'by-hand'].includes(kind);

/** Whether an edge is broken from behind, through the gap that the blade leaves. */
const fromBehind = ({ kind, from, to }: Operation): boolean => kind === 'deburr' || (kind === 'chamfer' && from > to);

export const partInLate: Rule = {
  id: 'PART-IN-LATE',
  strength: 'S',
  then: ['part-in'],
  before: (before) =>
    !fromBehind(before) && !['inspect', 'by-hand', 'part-off', 'part-in'].includes(before.kind)
      ? 'Parted in part way the piece stands on less: everything else is cut before.'
      : undefined,
};

export const edgeBeforeLoss: Rule = {
  id: 'EDGE-BEFORE-LOSS',
  strength: 'H',
  before: (before, after) => {
    if (before.kind === 'part-in' && fromBehind(after))
      return 'The back edge is reached through the gap of the blade, before the piece is off.';
    return breaksEdges(before) && after.kind === 'part-off'
      ? 'This edge is reached now and not after the piece is off.'
      : undefined;
  },
};
