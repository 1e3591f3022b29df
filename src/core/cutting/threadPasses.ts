/** Depths after each pass when every pass takes the same area of chip: depth · √(i / k) (handbook 6). */
export const depthsOf = (depth: number, passes: number): number[] =>
  Array.from({ length: passes }, (_, index) => depth * Math.sqrt((index + 1) / passes));

/**
 * Depths of a thread by so many passes; by fewer when the last would take too little.
 * @param least no pass takes less, mm
 */
export function threadPasses(depth: number, wanted: number, least: number): number[] {
  for (let passes = wanted; passes > 1; passes -= 1) {
    const depths = depthsOf(depth, passes);
    if (depth - (depths[passes - 2] ?? 0) >= least - 1e-9) return depths;
  }
  return [depth];
}

/** Infeed along a compound that is set to an angle from square to the axis: depth / cos angle (handbook 6). */
export const infeedAlong = (depth: number, angle: number): number => depth / Math.cos((angle * Math.PI) / 180);
