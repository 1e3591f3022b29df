import { TO_NO_SIZE, type HoldingKind } from './holding';

/** A collet grips all round: it marks nothing and holds threads. */
export const collet: HoldingKind = {
  kind: 'collet',
  words: 'in a collet',
  marks: false,
  against: ({ inside, knurl, flats, raw }) => {
    if (inside) return 'it holds from outside';
    if (raw) return TO_NO_SIZE;
    if (flats !== undefined) return 'a round collet would hold the corners';
    return knurl ? 'a knurl leaves it three lines to grip' : undefined;
  },
  figures: ({ machine, handMinutes, setupMinutes }) => ({
    ...machine.collets,
    load: handMinutes.loadCollet,
    change: setupMinutes.colletChange,
  }),
};
