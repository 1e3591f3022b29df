import { sayFigure } from '../model/units/mark';
import type { Size } from '../model/part/size';
import { formatNominal, MM_PER_INCH, type UnitSystem } from '../model/units/length';

const deviation = (mm: number, units: UnitSystem): string => {
  const value = Number((units === 'mm' ? mm : mm / MM_PER_INCH).toFixed(4));
  return value === 0 ? '0' : `${value > 0 ? '+' : '−'}${sayFigure(Math.abs(value))}`;
};

/** The limits behind a size, as a drawing writes them; a size under the general tolerance has none of its own. */
function limits({ lower, upper, from, open }: Size, units: UnitSystem): string {
  if (open) return ` ${open}`;
  if (from === 'general') return '';
  if (Math.abs(lower + upper) < 1e-9) return ` ±${deviation(upper, units).slice(1)}`;
  return ` ${deviation(upper, units)}/${deviation(lower, units)}`;
}

/** A size as a drawing writes it: `14 h8 0/−0.027`, `22 ±0.1`, `26`. */
export const sizeOnDrawing = (size: Size, units: UnitSystem): string =>
  `${formatNominal(size.nominal, units)}${size.fit ? ` ${size.fit}` : ''}${limits(size, units)}`;
