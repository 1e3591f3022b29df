import { formatLength } from '../model/units/length';
import type { RunFile } from '../read/runFile';
import type { Plan } from '../plan/plan';
import { stockView } from './stock';

/** What stands on a label: large, then line by line. */
export interface Label {
  key: string;
  large: string;
  lines: string[];
}

/** How many pieces go into each box, the last with what is left. */
const inBoxes = (quantity: number, most: number): number[] =>
  Array.from({ length: Math.ceil(quantity / most) }, (_, box) => Math.min(most, quantity - box * most));

/**
 * A label for each box of a run.
 * @param most pieces in a box
 */
export function boxLabels({ run }: Pick<Plan, 'run'>, { customer, order }: RunFile, most: number): Label[] {
  const { part, shop, quantity } = run;
  const boxes = inBoxes(quantity, Math.max(1, most));
  return boxes.map((pieces, box) => ({
    key: `box ${box + 1}`,
    large: part.number,
    lines: [
      [part.name, part.revision && `revision ${part.revision}`].filter(Boolean).join(', '),
      `${pieces} of ${quantity} · box ${box + 1} of ${boxes.length}`,
      shop.material.name,
      [customer, order].filter(Boolean).join(' · '),
    ].filter((line) => line !== ''),
  }));
}

/** A label for each bar that a run takes; pieces that arrive have none. */
export function barLabels({ run, stock }: Pick<Plan, 'run' | 'stock'>): Label[] {
  const { part, units, shop } = run;
  const view = stockView(stock, units);
  const bars = view.isBar ? stock.bars.value : 0;
  return Array.from({ length: bars }, (_, bar) => ({
    key: `bar ${bar + 1}`,
    large: `${view.section} ${units}`,
    lines: [
      `${shop.material.name}, ${view.condition}`.replace(/, $/, ''),
      `for ${part.number}${part.revision ? `, revision ${part.revision}` : ''}`,
      `${view.each} ${formatLength(stock.each.value, units)} ${units} · ${bar + 1} of ${bars}`,
    ],
  }));
}
