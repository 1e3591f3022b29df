/** Area moment of a round section, π d⁴ / 64, mm⁴. */
const momentOf = (diameter: number): number => (Math.PI * diameter ** 4) / 64;

/** Bending of work held at one end under a force at the other, F L³ / (3 E I) (trade: Cutting). N, mm, N/mm²; mm. */
export const freeEndBends = (force: number, length: number, diameter: number, elasticity: number): number =>
  (force * length ** 3) / (3 * elasticity * momentOf(diameter));

/** The same with a centre at its free end, the force half-way, 7 F L³ / (768 E I) (trade: Cutting). */
export const centredBends = (force: number, length: number, diameter: number, elasticity: number): number =>
  (7 * force * length ** 3) / (768 * elasticity * momentOf(diameter));

/** The same on two centres, F L³ / (48 E I): a beam on two supports. */
export const betweenBends = (force: number, length: number, diameter: number, elasticity: number): number =>
  (force * length ** 3) / (48 * elasticity * momentOf(diameter));

/** Bending of a boring bar under a force at its end, 64 F L³ / (3 π E d⁴) (trade: Cutting). N, mm, N/mm²; mm. */
export const barBends = freeEndBends;
