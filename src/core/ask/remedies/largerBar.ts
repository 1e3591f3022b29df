import { takenMaterial } from '../../model/shop/forRun';
import type { RemedyKind } from './remedy';

/** How many sizes are offered. */
const MORE = 3;

/** Where the run names its bar, the next ones of the list. */
export const largerBar: RemedyKind = ({ stock, part, units }, shop) => {
  if (!stock || stock === 'choose' || stock.form === 'piece') return [];
  const { form = 'round', condition = 'drawn' } = stock;
  const list = takenMaterial(part.material, shop)?.bars.find(
    (bar) => bar.form === form && bar.condition === condition && bar.units === units,
  );
  const sizes = list?.sizes.filter((size) => !size.includes('×')) ?? [];
  const from = sizes.findIndex((size) => Number.parseFloat(size) > Number.parseFloat(String(stock.size)));
  return from < 0
    ? []
    : sizes
        .slice(from, from + MORE)
        .map((size) => ({ path: 'stock.size', value: size, words: `From a bar of ${size}, the next in the list` }));
};
