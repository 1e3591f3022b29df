import type { Stock } from '../model/plan/stock';
import { lostInTheLathe } from '../plan/stock/stock';
import { freeFor, sameSection, type RackItem, type Section } from './rack';

/** An item of the rack to reserve for a run: how much of it, mm, and the pieces that gives. */
export interface Picked {
  item: RackItem;
  length: number;
  pieces: number;
}

/** What the rack gives for a run. */
export interface FromRack {
  picked: Picked[];
  /** Pieces that the rack has nothing for, and the bars to buy for them. */
  missing: number;
  barsToBuy: number;
}

/** The section that a run is made from. */
export const sectionOfRun = (material: string, { form, size, bore, condition }: Stock): Section => ({
  material,
  form,
  size,
  bore,
  condition,
});

/** Pieces that a length gives, and what they take of it, mm. */
function given(stock: Stock, length: number, most: number): { pieces: number; takes: number } {
  const { way, each, kerf } = stock;
  if (way === 'sawn-blanks') {
    const pieces = Math.min(most, Math.floor((length + kerf) / (each.value + kerf) + 1e-9));
    return { pieces, takes: Math.min(length, pieces * (each.value + kerf)) };
  }
  const lost = lostInTheLathe(stock);
  const pieces = Math.min(most, Math.floor((length - lost) / each.value + 1e-9));
  return { pieces: Math.max(0, pieces), takes: Math.min(length, lost + pieces * each.value) };
}

/**
 * Picks bars and offcuts of a run's section for it: offcuts before whole bars and the shorter first, so that the long
 * ones stay for who needs them; then how many bars must be bought for the rest.
 */
export function pickFromRack(stock: Stock, material: string, items: readonly RackItem[], run?: number): FromRack {
  const section = sectionOfRun(material, stock);
  const fitting = items
    .filter((item) => sameSection(item, section))
    .sort((a, b) => Number(b.offcut) - Number(a.offcut) || freeFor(a, run) - freeFor(b, run));
  let missing = stock.toMake.value;
  const picked = fitting.flatMap((item): Picked[] => {
    const { pieces, takes } = given(stock, freeFor(item, run), missing);
    if (pieces < 1) return [];
    missing -= pieces;
    return [{ item, length: takes, pieces }];
  });
  return { picked, missing, barsToBuy: Math.ceil(missing / stock.piecesPerBar.value) };
}
