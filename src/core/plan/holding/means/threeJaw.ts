import { notBare, type HoldingKind } from './holding';

/** Three jaws: quick, and they mark. On flats only those of a hexagon, one jaw to every second flat. */
export const threeJaw: HoldingKind = {
  kind: '3-jaw',
  words: 'in a three-jaw chuck',
  opens: true,
  marks: true,
  against: (surface) =>
    notBare(surface) ??
    (surface.fit ? 'its jaws mark a finished fit' : undefined) ??
    (surface.flats !== undefined && surface.flats !== 3 && surface.flats !== 6 ? 'never a jaw on a flat' : undefined),
  figures: ({ machine, handMinutes, setupMinutes }) => ({
    ...machine.jaws,
    load: handMinutes.loadJaws,
    change: setupMinutes.jawsChange,
  }),
  mind: ({ flats }) =>
    flats === undefined
      ? 'A sleeve of soft sheet keeps the jaws from marking it; its seam lies between two jaws.'
      : 'A jaw on every second flat, soft sheet under each.',
};
