import type { Stock } from '../model/plan/stock';
import { formatNominal, type UnitSystem } from '../model/units/length';
import { sectionName } from '../plan/stock/nameOfBar';

/** How the stock of a run is told, the same on every surface. */
export interface StockView {
  /** What it is: one of the bars that are bought, or of the pieces that arrive. */
  kind: 'Bar' | 'Piece';
  isBar: boolean;
  section: string;
  condition: string;
  /** What the length is called that a piece takes. */
  each: 'Length per piece' | 'Blank' | 'Its length';
  /** So many of what, behind the number. */
  counted: string;
  /** What is left of the last bar, told apart: what the chuck held of it is in it, or there is none. */
  left: 'left, the grip in it' | 'left over';
}

export function stockView(stock: Stock, units: UnitSystem): StockView {
  const { piece, condition, way, barLength, bars } = stock;
  const one = bars.value === 1;
  return {
    kind: piece ? 'Piece' : 'Bar',
    isBar: piece === undefined,
    section: sectionName(stock, units),
    condition: piece ? (condition === 'drawn' ? 'bright' : 'with its skin on') : condition,
    each: piece ? 'Its length' : way === 'from-bar' ? 'Length per piece' : 'Blank',
    left: way === 'from-bar' ? 'left, the grip in it' : 'left over',
    counted: piece
      ? `${one ? 'piece that arrives' : 'pieces that arrive'}`
      : `${one ? 'bar' : 'bars'} of ${formatNominal(barLength, units)} ${units}`,
  };
}
