const RADIANS = Math.PI / 180;

/** Half of a cone's included angle, from the axis, degrees: atan((R − r) / l) (trade: Cutting). Radii and length in mm. */
export const halfAngle = (r0: number, r1: number, length: number): number =>
  Math.atan(Math.abs(r1 - r0) / length) / RADIANS;

/**
 * What an error of the compound's angle makes of the diameter at the far end of a cone, mm (trade: Shop arithmetic): the difference
 * of the two tangents, on both sides of the axis.
 */
export const errorAtEnd = (length: number, half: number, error: number): number =>
  2 * length * (Math.tan((half + error) * RADIANS) - Math.tan(half * RADIANS));

/** Way of the slide for a cut that goes so deep into a cone: depth / sin of the half angle, mm (trade: Cutting). */
export const slideFor = (depth: number, half: number): number => depth / Math.sin(half * RADIANS);
