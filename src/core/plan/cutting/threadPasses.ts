/** Depths after each pass when every pass takes the same area of chip: depth · √(i / k) (trade: Cutting). */
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

/**
 * Depths of a thread by passes of one depth. The last takes the most chip: so many passes as keep it to the chip of the
 * other school, where the last of k takes (2k − 1) / k² of the whole area and theirs 1 / wanted.
 * @param least no pass takes less, mm
 */
export function evenPasses(depth: number, wanted: number, least: number): number[] {
  const lastChip = (passes: number) => (2 * passes - 1) / passes ** 2;
  let passes = wanted;
  while (lastChip(passes) > 1 / wanted && depth / (passes + 1) >= least - 1e-9) passes += 1;
  while (passes > 1 && depth / passes < least - 1e-9) passes -= 1;
  return Array.from({ length: passes }, (_, index) => (depth * (index + 1)) / passes);
}

/** Infeed along a compound that is set to an angle from square to the axis: depth / cos angle (trade: Cutting). */
export const infeedAlong = (depth: number, angle: number): number => depth / Math.cos((angle * Math.PI) / 180);
