/** How much a length grows when it is warmed, α · L · ΔT, mm (trade: Holding). @param expansion 10⁻⁶/K */
export const growth = (length: number, expansion: number, warmer: number): number =>
  (expansion * length * warmer) / 1e6;
