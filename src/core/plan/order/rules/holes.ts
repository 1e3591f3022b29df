import { CENTRE_END } from '../../operations/face';
import type { Operation } from '../../../model/plan/operation';
import type { Rule } from './rule';

/** What goes into a hole after its drill, in its order (trade: Order), and why there. */
const AFTER_DRILL = [
  { kind: 'bore', because: 'The bar needs a hole to go into; it makes true what the drill left askew.' },
  { kind: 'counterbore', because: 'The hole is there before its seat is cut.' },
  { kind: 'countersink', because: 'The hole is there before its mouth is sunk.' },
  {
    kind: 'taper',
    because: 'The pilot is there before the cone: the tip of the bar goes in, and its back stays clear.',
  },
  { kind: 'inner-groove', because: 'The bore is to size before a groove is cut in its wall.' },
  { kind: 'lead-in', because: 'The drill leaves a burr at the mouth, and the cone starts the tap straight.' },
  {
    kind: 'tap',
    because: 'The core hole and its mouth are there before the tap: it starts straight and leaves no burr.',
  },
  {
    kind: 'hand-tap',
    because: 'The core hole and its mouth are there before the tap: it starts straight and leaves no burr.',
  },
  { kind: 'inner-thread', because: 'The core is bored, and the room at its end cut, before the thread.' },
  {
    kind: 'ream',
    because: 'The reamer follows the drill, and its edge is broken before it: nothing is cut into a reamed hole.',
  },
];

const IN_HOLES = ['drill', ...AFTER_DRILL.map(({ kind }) => kind)];

/** Place in the chain: the drill first. A cone on the outside has none. */
const placeOf = ({ kind, removal }: Operation): number | undefined => {
  const after = AFTER_DRILL.findIndex((step) => step.kind === kind);
  if (kind === 'drill') return 0;
  return after < 0 || removal.outside ? undefined : after + 1;
};

export const spotDrill: Rule = {
  id: 'SPOT-DRILL',
  strength: 'C',
  first: ['centre'],
  then: ['drill'],
  before: (before) => (before.feature !== CENTRE_END ? 'A short stiff start, so that the drill runs true.' : undefined),
  asksFor: ({ kind, feature }, { run }) =>
    kind === 'centre' && feature.startsWith('part.') && run.shop.houseRules.centreDrill === 'always'
      ? 'House rule: every drill gets a centre.'
      : undefined,
};

export const pilot: Rule = {
  id: 'PILOT',
  strength: 'C',
  first: ['drill'],
  then: ['drill'],
  before: (before, after) =>
    before.feature === after.feature && (before.diameter ?? 0) < (after.diameter ?? 0)
      ? 'The web of a large drill does not cut: in tough material a pilot a little wider than the web goes first.'
      : undefined,
  asksFor: ({ key }) => {
    if (key.startsWith('pilot:')) return 'House rule: a pilot before a large drill.';
    return key.startsWith('opens:') ? 'In full metal the next drill would turn the work in what holds it.' : undefined;
  },
};

export const holeChain: Rule = {
  id: 'HOLE-CHAIN',
  strength: 'H',
  first: IN_HOLES,
  then: IN_HOLES,
  before: (before, after) => {
    const [first, then] = [placeOf(before), placeOf(after)];
    if (first === undefined || then === undefined) return undefined;
    if (first < then) return AFTER_DRILL[then - 1]?.because;
    const wider = before.feature !== after.feature && (before.diameter ?? 0) < (after.diameter ?? 0);
    return first === then && (first === 0 || before.kind === 'bore') && wider
      ? 'The narrow deep hole first: the wider one then follows it.'
      : undefined;
  },
};

export const holeOrOutside: Rule = {
  id: 'HOLE-OR-OUTSIDE',
  strength: 'C',
  before: (before, after, { run }) => {
    const { holeFirst } = run.shop.houseRules;
    const [bores, turning] = [placeOf(before) !== undefined, after.kind === 'turn-rough'];
    if (holeFirst === 'hole' && bores && turning)
      return 'House rule: the hole while the work is shortest and stiffest.';
    if (holeFirst === 'outside' && before.kind === 'turn-rough' && placeOf(after) !== undefined)
      return 'House rule: the outside first, the hole before the part-off.';
    return undefined;
  },
};

export const holesBeforePart: Rule = {
  id: 'HOLES-BEFORE-PART',
  strength: 'H',
  then: ['part-off'],
  before: (before) =>
    before.kind === 'centre' || placeOf(before) !== undefined
      ? 'Everything on the axis from this side before the piece is off.'
      : undefined,
};
