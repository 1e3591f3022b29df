/** Bending of a boring bar under a force at its end, 64 F L³ / (3 π E d⁴) (handbook 6). N, mm, N/mm²; mm. */
export const barBends = (force: number, overhang: number, diameter: number, elasticity: number): number =>
  (64 * force * overhang ** 3) / (3 * Math.PI * elasticity * diameter ** 4);
