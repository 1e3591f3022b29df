import type { Rule } from './rule';

export const gate: Rule = {
  id: 'GATE',
  strength: 'S',
  then: ['inspect'],
  before: (before) =>
    !['inspect', 'part-off'].includes(before.kind)
      ? 'A measuring hold, when everything of this holding is there and can still be corrected.'
      : undefined,
  asksFor: ({ kind }, { partsOff }) =>
    kind === 'inspect'
      ? partsOff
        ? 'After the part-off nothing of this side is corrected.'
        : 'Out of this holding it never runs quite as true again.'
      : undefined,
};

export const deburrLast: Rule = {
  id: 'DEBURR-LAST',
  strength: 'S',
  then: ['deburr'],
  before: (before) =>
    !['deburr', 'inspect', 'by-hand', 'part-off'].includes(before.kind)
      ? 'An edge is broken once, when nothing is cut beside it any more.'
      : undefined,
  asksFor: ({ kind }) => (kind === 'deburr' ? 'Nothing on the drawing breaks these edges.' : undefined),
};

export const polishLate: Rule = {
  id: 'POLISH-LATE',
  strength: 'H',
  then: ['polish'],
  before: (before, after) =>
    before.kind === 'turn-finish' || (before.feature === after.feature && before.kind !== 'polish')
      ? 'The last hundredth comes off what is turned, and nothing is turned beside it afterwards.'
      : undefined,
  asksFor: ({ kind }) =>
    kind === 'polish' ? 'Smoother, or closer, than turning leaves it: abrasives take the last hundredth.' : undefined,
};
