import type { Rule } from './rule';

export const faceFirst: Rule = {
  id: 'FACE-FIRST',
  strength: 'H',
  first: ['face'],
  before: (before, after) =>
    before.feature === 'face' && before.key !== after.key
      ? 'Lengths and depths are measured from the face.'
      : undefined,
  asksFor: ({ kind, feature }, { number }) =>
    kind === 'face' && feature === 'face' && number === 1
      ? 'Every length and depth of this set-up is measured from it.'
      : undefined,
};

export const nib: Rule = {
  id: 'NIB',
  strength: 'S',
  asksFor: ({ kind }, { number, stock }) =>
    kind === 'face' && number > 1
      ? stock.way === 'from-bar'
        ? 'The parted face carries the nib and the blade’s marks; facing it sets the length over all.'
        : 'The sawn end is neither flat nor square; facing it sets the length over all.'
      : undefined,
};

export const partLast: Rule = {
  id: 'PART-LAST',
  strength: 'H',
  then: ['part-off'],
  before: (before) =>
    before.kind !== 'part-off' ? 'After it there is nothing left to hold in this set-up.' : undefined,
  asksFor: ({ kind }) => (kind === 'part-off' ? 'It frees the piece; nothing is left to hold after it.' : undefined),
};
