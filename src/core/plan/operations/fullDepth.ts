import { sum, term, type Figure } from '../../model/figure';
import type { Hole } from '../../model/part/part';
import { isOnBar, type Setup } from '../../model/plan/setup';

/**
 * How deep the full diameter goes (trade: Stock): a through hole past the blade, or past the blank's far end.
 * @param hole `beyond` is what a tool that follows wants behind a through hole; `opened` how deep a wider one opens it there, mm
 */
export function fullDepthOf(
  hole: Pick<Hole, 'through' | 'depth'> & { beyond?: number; opened?: number },
  { part, stock, side, behind }: Setup,
): Figure {
  if (!hole.through) return sum('full depth', 'mm', [term('t', 'depth on the drawing', hole.depth, 'mm', 'drawing')]);
  const blade = isOnBar({ stock, side }) ? (stock.blade?.width ?? 0) : 0;
  const { beyond = 0, opened = 0 } = hole;
  if (opened > 0)
    return sum('full depth', 'mm', [
      term('L', 'length of the part', part.length, 'mm', 'drawing'),
      term('t', 'opened from the other end', -opened, 'mm', 'drawing'),
      term('b', 'breakthrough', stock.breakthrough, 'mm', 'start value'),
    ]);
  return sum('full depth', 'mm', [
    term('L', 'length of the part', part.length, 'mm', 'drawing'),
    term('k', 'facing allowance behind it', behind, 'mm', 'computed'),
    ...(beyond > blade + stock.breakthrough
      ? [term('t', 'what the next tool wants behind it', beyond, 'mm', 'tool')]
      : [
          term('w', blade > 0 ? 'blade width' : 'no blade', blade, 'mm', 'tool'),
          term('b', 'breakthrough', stock.breakthrough, 'mm', 'start value'),
        ]),
  ]);
}
