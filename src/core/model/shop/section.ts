import type { StockForm } from './shop';

/** Flats of a form; a round has none. */
export const FLATS: Record<StockForm, number> = { round: 0, tube: 0, piece: 0, hex: 6, square: 4 };

/** Diameter over the corners: across flats / cos(180° / n) (trade: Stock). */
export const overCorners = (form: StockForm, size: number): number =>
  FLATS[form] === 0 ? size : size / Math.cos(Math.PI / FLATS[form]);

/** A bar's section: its form, and across it and its bore, mm. */
export interface BarSection {
  form: StockForm;
  size: number;
  bore: number;
}

/** Area of a bar's section, mm². */
export function sectionOf({ form, size, bore }: BarSection): number {
  const n = FLATS[form];
  return n === 0 ? (Math.PI / 4) * (size ** 2 - bore ** 2) : (n / 4) * size ** 2 * Math.tan(Math.PI / n);
}
