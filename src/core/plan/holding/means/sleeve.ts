import { listed, type HoldingKind } from './holding';

/** Soft sheet round a knurl, in the three-jaw chuck. */
export const sleeve: HoldingKind = {
  kind: 'sleeve',
  words: 'in a sleeve of soft sheet',
  madeFor: 'sleeve of soft sheet for',
  marks: false,
  against: ({ inside, knurl, flats, thin }) => {
    if (inside) return 'it holds from outside';
    if (flats !== undefined) return 'it goes round';
    if (thin) return 'the wall is too thin';
    return knurl ? undefined : 'that is for a knurl';
  },
  figures: listed('sleeve'),
  mind: () => 'The seam of the sheet lies between two jaws.',
};
