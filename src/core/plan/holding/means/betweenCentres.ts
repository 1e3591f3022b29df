import { listed, type HoldingKind } from './holding';

/**
 * Two centres and a dog: both sides run true to the same two holes. It is no hold on a surface, so no surface asks for
 * it: `holding/betweenCentres` divides the work for it.
 */
export const betweenCentres: HoldingKind = {
  kind: 'between-centres',
  words: 'between centres',
  opens: true,
  marks: false,
  against: () => 'it holds by the holes in both faces',
  figures: listed('between-centres'),
};
