import type { RunFile } from '../read/runFile';
import type { RunningWay } from './running';

/** What somebody else asks for a quantity: a line of money alone, which no plan changes. */
export function boughtIn(offer: RunFile['offer'], quantity: number): RunningWay[] {
  if (!offer) return [];
  const money = { once: offer.once ?? 0, each: offer.each };
  return [
    {
      id: 'bought',
      name: 'Bought in, as offered',
      money,
      batchMoney: money.once + quantity * money.each,
      risks: ['Their date is theirs, and what comes is inspected here.'],
      planned: false,
    },
  ];
}
