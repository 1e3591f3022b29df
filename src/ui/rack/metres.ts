/** A length of bar as a rack counts it. */
export const metres = (mm: number): string => `${(mm / 1000).toFixed(2)} m`;
