import { sayFixed } from '@/core/model/units/mark';

/** A length of bar as a rack counts it. */
export const metres = (mm: number): string => `${sayFixed(mm / 1000, 2)} m`;
