import { listed, TO_NO_SIZE, type HoldingKind } from './holding';

/** Jaws bored to the diameter that they hold: all round, true, without marks. */
export const softJaws: HoldingKind = {
  kind: 'soft-jaws',
  words: 'in soft jaws',
  steps: true,
  madeFor: 'soft jaws, bored to',
  marks: false,
  against: ({ inside, thread, knurl, flats, raw }) => {
    if (inside) return 'it holds from outside';
    if (raw) return TO_NO_SIZE;
    if (flats !== undefined) return 'they are bored round';
    if (thread) return 'never a thread in jaws';
    return knurl ? 'never a knurl in jaws' : undefined;
  },
  figures: listed('soft-jaws'),
  mind: () =>
    'Bored to the size they hold, under the pressure they hold with; the piece pushed home against their step.',
};
