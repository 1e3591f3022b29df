import type { StockForm } from '../../model/shop/shop';
import { formatNominal, type UnitSystem } from '../../model/units/length';
import { say, sayDiameter } from '../../model/words';

/** A bar in a sentence: `⌀25 drawn`, `hex 17 mm drawn`, `tube ⌀30 × ⌀20 drawn`. */
export function nameOfBar(
  { form, size, bore, condition }: { form: StockForm; size: number; bore: number; condition: string },
  units: UnitSystem,
): string {
  if (form === 'piece') return `the piece, up to ${sayDiameter(size, units)}`;
  if (form === 'round') return `${sayDiameter(size, units)} ${condition}`;
  if (form === 'tube') return `tube ${sayDiameter(size, units)} × ${sayDiameter(bore, units)} ${condition}`;
  return `${form} ${say(size, units)} ${condition}`;
}

/** The section of a bar alone: `⌀25`, `hex 17`, `⌀30 × 20`. The unit is not appended. */
export function sectionName(
  { form, size, bore }: { form: StockForm; size: number; bore: number },
  units: UnitSystem,
): string {
  const show = (mm: number) => formatNominal(mm, units);
  if (form === 'tube') return `⌀${show(size)} × ${show(bore)}`;
  if (form === 'piece') return `⌀${show(size)} at most`;
  return form === 'round' ? `⌀${show(size)}` : `${form} ${show(size)}`;
}
