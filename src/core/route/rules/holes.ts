import type { Rule } from './rule';

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
    before.kind === 'drill' &&
    after.kind === 'drill' &&
    before.feature !== after.feature &&
    (before.diameter ?? 0) < (after.diameter ?? 0)
      ? 'The narrow deep hole first: the wider drill then follows it.'
      : undefined,
};

export const holesBeforePart: Rule = {
  id: 'HOLES-BEFORE-PART',
  strength: 'H',
  before: (before, after) =>
    (before.kind === 'drill' || before.kind === 'centre') && after.kind === 'part-off'
      ? 'Everything on the axis from this side before the piece is off.'
      : undefined,
};
