import { sayFixed } from '../model/units/mark';
import type { Plan } from '../plan/plan';
import { sayMinutes } from '../model/units/show';
import type { RunCost } from '../plan/cost/runCost';

/**
 * What would have to be otherwise for a piece to cost no more than a price: the minutes of a piece, the setting up, the
 * quantity or the material, each alone.
 */
export function wantedFor(price: number, { run, times }: Plan, cost: RunCost): string[] {
  const { quantity, shop } = run;
  const { currency, machineHour } = shop.rates;
  const over = cost.piece.value - price;
  if (over <= 1e-9)
    return [`It is met: a piece costs ${sayFixed(cost.piece.value, 2)} ${currency}, ${sayFixed(-over, 2)} less.`];
  const minutes = (over * 60) / machineHour;
  const piece = times.piece.value - minutes;
  const once = cost.setupShare.value * quantity;
  const each = cost.piece.value - cost.setupShare.value;
  const setup = times.setup.value - minutes * quantity;
  const material = cost.material.value / quantity - over;
  return [
    piece > 0
      ? `A piece in ${sayMinutes(piece)} instead of ${sayMinutes(times.piece.value)};`
      : `no piece is quick enough: its minutes cost ${sayFixed((times.piece.value * machineHour) / 60, 2)} ${currency} of it, and ${sayFixed(over, 2)} must go;`,
    setup > 0
      ? `or set up in ${sayMinutes(setup)} instead of ${sayMinutes(times.setup.value)};`
      : 'no setting up is short enough by itself;',
    each < price
      ? `or ${Math.ceil(once / (price - each) - 1e-9)} pieces instead of ${quantity};`
      : `no quantity is large enough: without what is paid once a piece still costs ${sayFixed(each, 2)} ${currency};`,
    material > 0
      ? `or material at ${sayFixed(material, 2)} ${currency} a piece instead of ${sayFixed(cost.material.value / quantity, 2)}.`
      : 'free material would not do it.',
  ];
}
