import { listed, notBare, type HoldingKind } from './holding';

/** Four jaws, each by itself: dialled true, which takes minutes each time. */
export const fourJaw: HoldingKind = {
  kind: '4-jaw',
  words: 'in a four-jaw chuck, dialled true',
  opens: true,
  marks: true,
  against: (surface) =>
    notBare(surface) ??
    (surface.fit ? 'its jaws mark a finished fit' : undefined) ??
    (surface.flats !== undefined && surface.flats !== 4 ? 'never a jaw on a flat' : undefined),
  figures: listed('4-jaw'),
  mind: () => 'Dialled true with an indicator on what must run true, every piece.',
};
