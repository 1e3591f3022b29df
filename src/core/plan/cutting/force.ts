/** One cut for its force: specific force and exponent of the material, approach angle in degrees, mm and mm/rev. */
export interface Cut {
  kc: number;
  m: number;
  feed: number;
  depth: number;
  approachAngle: number;
}

/**
 * Specific cutting force at the chip's thickness, kc = kc1.1 · h^(−m) with h = f · sin κ, N/mm² (trade: Cutting).
 */
export const specificForce = ({ kc, m, feed, approachAngle }: Cut): number =>
  kc * (feed * Math.sin((approachAngle * Math.PI) / 180)) ** -m;

/** Main cutting force Fc = kc · ap · f, N. */
export const cuttingForce = (cut: Cut): number => specificForce(cut) * cut.depth * cut.feed;

/** Power of the cut, Pc = Fc · v / 60000, kW, v in m/min. */
export const cuttingPower = (cut: Cut, speed: number): number => (cuttingForce(cut) * speed) / 60000;
