import { CLOSE } from '../tolerances';
import type { Piece } from './stock';
import type { Feature } from '../part/feature';

const isNear = (a: number, b: number): boolean => Math.abs(a - b) < CLOSE;

/** What no profile shows of a feature. */
const marksOf = ({ thread, knurl, cross, flats, turnedTo }: Feature) => [thread, knurl, cross, flats, turnedTo];

/** Whether two features are the same thing at the same place: what they are called, their thread, their knurl, their shape. */
export const isSame = (a: Feature, b: Feature): boolean =>
  a.kind === b.kind &&
  isNear(a.z0, b.z0) &&
  isNear(a.z1, b.z1) &&
  JSON.stringify(marksOf(a)) === JSON.stringify(marksOf(b)) &&
  a.outside?.length === b.outside?.length &&
  (a.outside ?? []).every(({ r0, r1 }, index) => {
    const other = b.outside?.[index];
    return other !== undefined && isNear(r0, other.r0) && isNear(r1, other.r1);
  });

/** Whether a piece as it arrives has something of the outside already. */
export const isCutInto = ({ features }: Piece, feature: Feature): boolean =>
  features.some((other) => isSame(feature, other));
