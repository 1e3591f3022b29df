import { sum, term, type Figure } from '../../model/figure';
import type { Hole } from '../../model/part/part';
import type { Setup } from '../../model/plan/setup';

/** How deep the full diameter goes (trade: Stock): a through hole past the blade, or past the blank's far end. */
export function fullDepthOf(hole: Pick<Hole, 'through' | 'depth'>, { part, stock, partsOff, behind }: Setup): Figure {
  if (!hole.through) return sum('full depth', 'mm', [term('t', 'depth on the drawing', hole.depth, 'mm', 'drawing')]);
  return sum('full depth', 'mm', [
    term('L', 'length of the part', part.length, 'mm', 'drawing'),
    term('k', 'facing allowance behind it', behind, 'mm', 'computed'),
    term('w', partsOff ? 'blade width' : 'no blade', partsOff ? (stock.blade?.width ?? 0) : 0, 'mm', 'tool'),
    term('b', 'breakthrough', stock.breakthrough, 'mm', 'start value'),
  ]);
}
