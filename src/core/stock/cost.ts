import { figure, term, termOf, type Figure } from '../figure';
import type { Run } from '../run';
import { sectionOf } from './bar';
import type { BoughtStock } from './stock';

/** What the stock of a run costs: what is bought, and the minutes of turning the rest into swarf (handbook 3). */
export interface StockCost {
  material: Figure;
  swarf: Figure;
  total: Figure;
}

/**
 * Cost of a run's stock. The swarf is priced at the rate of the machine and the rate at which its rougher removes metal,
 * v · 1000 · f · ap; it tells two bars apart, and is no promise of time.
 * @param partVolume mm³ of the finished part
 */
export function costOf({ shop }: Run, stock: BoughtStock, partVolume: number): StockCost {
  const { material, cutting, rates } = shop;
  const bought = figure({
    name: 'cost of the stock',
    unit: 'money',
    value: stock.mass.value * stock.pricePerKilogram,
    formula: 'm · p',
    terms: [termOf('m', stock.mass), term('p', 'price of a kilogram', stock.pricePerKilogram, 'money', 'start value')],
  });
  const feed = cutting.feed['turn-rough'] ?? 0;
  const perPiece = Math.max(0, sectionOf(stock) * stock.each.value - partVolume);
  const minutes = perPiece / (material.speed.carbide * 1000 * feed * material.deepestCut);
  const swarf = figure({
    name: 'turning it to swarf',
    unit: 'money',
    value: (stock.toMake.value * minutes * rates.machineHour) / 60,
    formula: 'N · t · h / 60',
    terms: [
      termOf('N', stock.toMake),
      term('t', 'minutes of roughing in a piece', minutes, 'min', 'computed'),
      term('h', 'an hour of the machine', rates.machineHour, 'money', 'start value'),
    ],
  });
  return {
    material: bought,
    swarf,
    total: figure({
      name: 'cost that the choice goes by',
      unit: 'money',
      value: bought.value + swarf.value,
      formula: 'a + b',
      terms: [termOf('a', bought), termOf('b', swarf)],
    }),
  };
}
