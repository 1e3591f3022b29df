/** A train between spindle and leadscrew: drivers over driven, and how far its pitch is from the wanted one. */
export interface GearTrain {
  drivers: number[];
  driven: number[];
  pitch: number;
  /** Parts per million, signed. */
  error: number;
}

/**
 * The train that comes nearest to a pitch (trade: Cutting): pitch / leadscrew = drivers / driven, with two gears if they do,
 * else with four. Every gear is used once.
 * @param gears numbers of teeth on hand
 */
export function changeGears(pitch: number, leadscrew: number, gears: readonly number[]): GearTrain | undefined {
  let best: GearTrain | undefined;
  const consider = (drivers: number[], driven: number[]) => {
    const cut = (leadscrew * drivers.reduce((a, b) => a * b, 1)) / driven.reduce((a, b) => a * b, 1);
    const error = (1e6 * (cut - pitch)) / pitch;
    // A longer train must be better by more than arithmetic.
    if (!best || Math.abs(error) < Math.abs(best.error) - 1e-3) best = { drivers, driven, pitch: cut, error };
  };
  gears.forEach((a, i) => gears.forEach((b, j) => i !== j && consider([a], [b])));
  if (best && Math.abs(best.error) < 1e-3) return best;
  gears.forEach((a, i) =>
    gears.forEach((b, j) => {
      if (i === j) return;
      const wanted = (pitch / leadscrew / a) * b;
      // Of the gears left, for each driver the driven one nearest to what is still wanted.
      gears.forEach((c, k) => {
        const off = (d: number) => Math.abs(c / d - wanted);
        const left = gears.filter((_, index) => ![i, j, k].includes(index));
        const [first, ...rest] = left;
        if (k === i || k === j || first === undefined) return;
        consider([a, c], [b, rest.reduce((best, d) => (off(d) < off(best) ? d : best), first)]);
      });
    }),
  );
  return best;
}
