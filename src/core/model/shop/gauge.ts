import type { Gauge } from '../shop/shop';
import type { Check } from '../plan/operation';

/** A gauge for a size, and whether it is fine enough. */
export interface ChosenGauge extends Gauge {
  fineEnough: boolean;
}

/** The quickest gauge that repeats to a fifth of the tolerance (trade: Measuring); else the finest there is, and said so. */
export function gaugeFor({ measures, size }: Check, gauges: Gauge[]): ChosenGauge | undefined {
  const nominal = size?.nominal ?? 0;
  const able = gauges.filter(
    (gauge) =>
      gauge.measures.includes(measures) &&
      (!size || ((gauge.from ?? 0) <= nominal && nominal <= (gauge.upTo ?? Infinity))),
  );
  if (!size) return able[0] && { ...able[0], fineEnough: true };
  const fine = able
    .filter(({ repeats }) => repeats <= (size.upper - size.lower) / 5 + 1e-9)
    .sort((a, b) => a.minutes - b.minutes)[0];
  if (fine) return { ...fine, fineEnough: true };
  const finest = [...able].sort((a, b) => a.repeats - b.repeats)[0];
  return finest && { ...finest, fineEnough: false };
}

/** Pieces between two measurements of a size; another look at one that was measured is not taken at every piece. */
export const checkedEvery = (
  { size, general, again }: Check,
  every: { general: number; toleranced: number },
): number => (again || general || size?.from === 'general' ? every.general : every.toleranced);
