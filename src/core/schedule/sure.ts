/** A promise that is kept less often is in doubt: four of five times. */
export const SURE = 0.8;
