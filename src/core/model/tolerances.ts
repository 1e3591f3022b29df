/** Lengths and places nearer than this are one, mm: finer than a shop tells apart, coarser than arithmetic loses. */
export const CLOSE = 0.001;

/** Stops that are set nearer than this are one, mm. */
export const SAME_STOP = 0.005;

/** What arithmetic alone makes of lengths that are equal, mm. */
export const TINY = 1e-9;

/** An edge goes so far beyond a wall that it breaks through, or beyond the middle, mm (ours). */
export const EDGE_THROUGH = 0.1;
