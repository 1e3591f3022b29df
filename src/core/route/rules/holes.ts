import type { Rule } from './rule';

/** What goes into a hole, in its order (handbook 5). */
const CHAIN = ['drill', 'countersink', 'ream'];

const CHAIN_WORDS: Record<string, string> = {
  countersink: 'The hole is there before its mouth is sunk.',
  ream: 'The reamer follows the drill, and its edge is broken before it: nothing is cut into a reamed hole.',
};

export const spotDrill: Rule = {
  id: 'SPOT-DRILL',
  strength: 'C',
  before: (before, after) =>
    before.kind === 'centre' && after.kind === 'drill'
      ? 'A short stiff start, so that the drill runs true.'
      : undefined,
  asksFor: ({ kind }, { run }) =>
    kind === 'centre' && run.shop.houseRules.centreDrill === 'always'
      ? 'House rule: every drill gets a centre.'
      : undefined,
};

export const pilot: Rule = {
  id: 'PILOT',
  strength: 'C',
  before: (before, after) =>
    before.kind === 'drill' &&
    after.kind === 'drill' &&
    before.feature === after.feature &&
    (before.diameter ?? 0) < (after.diameter ?? 0)
      ? 'The web of a large drill does not cut: in tough material a pilot a little wider than the web goes first.'
      : undefined,
};

export const holeChain: Rule = {
  id: 'HOLE-CHAIN',
  strength: 'H',
  before: (before, after) =>
    before.kind === 'drill' && after.kind === 'drill'
      ? before.feature !== after.feature && (before.diameter ?? 0) < (after.diameter ?? 0)
        ? 'The narrow deep hole first: the wider drill then follows it.'
        : undefined
      : CHAIN.indexOf(before.kind) >= 0 && CHAIN.indexOf(before.kind) < CHAIN.indexOf(after.kind)
        ? `${CHAIN_WORDS[after.kind] ?? ''}`
        : undefined,
};

export const holesBeforePart: Rule = {
  id: 'HOLES-BEFORE-PART',
  strength: 'H',
  before: (before, after) =>
    (before.kind === 'centre' || CHAIN.includes(before.kind)) && after.kind === 'part-off'
      ? 'Everything on the axis from this side before the piece is off.'
      : undefined,
};
