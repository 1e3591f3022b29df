import type { Size } from '../model/part/size';
import { formatLength, type UnitSystem } from '../model/units/length';

/** Closer than this the limits are shown to one place more, mm. */
const FINE = 0.1;

/** The limits of a check as they are read at the machine; a thread has none, its gauge goes or does not. */
export function sayLimits(size: Size | undefined, units: UnitSystem): string {
  if (!size) return 'go and no-go';
  const fine = size.upper - size.lower < FINE;
  return [size.lower, size.upper].map((off) => formatLength(size.nominal + off, units, fine)).join(' – ');
}
