import type { Progress } from '../lathe/progress';
import { formatLength } from '../model/units/length';
import type { Plan } from '../plan/plan';

/**
 * What pieces in place of scrap want of stock that the plan did not reckon with, in words; nothing while its spares cover them.
 */
export function stockBeyond({ stock, run }: Plan, { toMake }: Pick<Progress, 'toMake'>): string | undefined {
  const more = toMake - stock.toMake.value;
  if (more <= 0) return undefined;
  const pieces = `${more} ${more === 1 ? 'piece' : 'pieces'} more than the stock was reckoned for`;
  if (stock.piece) return `${pieces}: as many more as they arrive`;
  const length = `${formatLength(more * (stock.each.value + (stock.way === 'sawn-blanks' ? stock.kerf : 0)), run.units)} ${run.units}`;
  const bars = Math.ceil(toMake / stock.piecesPerBar.value) - stock.bars.value;
  return `${pieces}: ${length} more, ${bars > 0 ? `and ${bars} ${bars === 1 ? 'bar' : 'bars'} more` : 'within its bars'}`;
}
