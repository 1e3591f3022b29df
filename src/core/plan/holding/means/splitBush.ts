import { listed, TO_NO_SIZE, type HoldingKind } from './holding';

/** A slit ring bored to size, in the three-jaw chuck: marks nothing, holds a thread by its crests. */
export const splitBush: HoldingKind = {
  kind: 'split-bush',
  words: 'in a split bush',
  madeFor: 'split bush, bored to',
  marks: false,
  against: ({ inside, knurl, flats, raw }) => {
    if (inside) return 'it holds from outside';
    if (raw) return TO_NO_SIZE;
    if (flats !== undefined) return 'it is bored round';
    return knurl ? 'a sleeve of soft sheet does that' : undefined;
  },
  figures: listed('split-bush'),
  mind: () => 'Bored to size in the chuck it stays in; its slit lies between two jaws.',
};
