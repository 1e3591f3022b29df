import { sectionOf } from '../../model/shop/section';
import type { BoughtStock, StockCost } from '../../model/plan/stock';
import { figure, term, termOf, type Figure } from '../../model/figure';
import { bringsWithIt } from '../reach/reached';
import type { Run } from '../../model/run';
import type { OnHand } from '../../model/shop/shop';

/** Flats of the part that a bar does not bring with it: they are milled, once set up and on each piece. */
function millingOf({ part, shop, quantity }: Run, stock: BoughtStock): Figure {
  const { outside, rates } = shop;
  const brought = bringsWithIt(part, stock);
  const milled = part.features.flatMap((feature) =>
    feature.flats && !brought.includes(feature) ? [feature.flats.count] : [],
  );
  const each = milled.reduce((total, count) => total + outside.load + count * outside.millFlat, 0);
  const once = milled.length * outside.millSetup;
  return figure({
    name: 'milling flats',
    unit: 'money',
    value: ((once + quantity * each) * rates.machineHour) / 60,
    formula: '(s + N · t) · h / 60',
    terms: [
      term('s', 'setting up the mill', once, 'min', 'start value'),
      term('N', 'quantity', quantity, '', 'run'),
      term('t', 'in and out, and the flats of a piece', each, 'min', 'start value'),
      term('h', 'an hour of the machine', rates.machineHour, 'money', 'start value'),
    ],
  });
}

/** Length of bar that a run takes, mm: its pieces, and what each bar loses. */
export const lengthTaken = ({
  piece,
  way,
  toMake,
  each,
  kerf,
  bars,
  firstEnd,
  gripRemnant,
  jawClearance,
}: BoughtStock): number =>
  piece
    ? 0
    : way === 'sawn-blanks'
      ? toMake.value * (each.value + kerf)
      : toMake.value * each.value + bars.value * (firstEnd + gripRemnant.value + jawClearance);

type Section = Pick<BoughtStock, 'form' | 'size' | 'bore' | 'condition'>;

/** What is free on the rack of a section, mm. */
export const freeOnRack = (rack: readonly OnHand[], material: string, section: Section): number =>
  rack
    .filter(
      (onHand) =>
        onHand.material === material &&
        onHand.form === section.form &&
        onHand.condition === section.condition &&
        Math.abs(onHand.size - section.size) < 0.001 &&
        Math.abs(onHand.bore - section.bore) < 0.001,
    )
    .reduce((total, { free }) => total + free, 0);

/**
 * Cost of a run's stock. The swarf is priced at the rate of the machine and the rate at which its rougher removes metal,
 * v · 1000 · f · ap; it tells two bars apart, and is no promise of time.
 * @param partVolume mm³ of the finished part
 */
export function costOf(run: Run, stock: BoughtStock, partVolume: number): StockCost {
  const { shop } = run;
  const milling = millingOf(run, stock);
  const { material, cutting, rates, rack } = shop;
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
  const ordered = rack !== undefined && freeOnRack(rack, material.id, stock) < lengthTaken(stock);
  const order = figure({
    name: 'having bars come in',
    unit: 'money',
    value: ordered ? rates.order : 0,
    formula: 'o',
    terms: [term('o', ordered ? 'an order' : 'nothing to order', ordered ? rates.order : 0, 'money', 'start value')],
  });
  return {
    material: bought,
    swarf,
    order,
    milling,
    total: figure({
      name: 'cost that the choice goes by',
      unit: 'money',
      value: bought.value + swarf.value + order.value + milling.value,
      formula: 'a + b + o + m',
      terms: [termOf('a', bought), termOf('b', swarf), termOf('o', order), termOf('m', milling)],
    }),
  };
}
