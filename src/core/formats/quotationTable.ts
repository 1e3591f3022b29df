import type { QuotedPrice } from '../money/quotation';
import type { Part } from '../model/part/part';
import { figure, type Cell } from './table';

/** A quotation as a table: the part, and each quantity with its prices. */
export const quotationTable = (
  part: Pick<Part, 'number' | 'revision'>,
  prices: readonly QuotedPrice[],
  currency: string,
): Cell[][] => [
  ['part', 'revision', 'quantity', `each, ${currency}`, `in all, ${currency}`],
  ...prices.map(({ quantity, each, all }) => [
    part.number,
    part.revision ?? '',
    figure(quantity),
    figure(each, 2),
    figure(all, 2),
  ]),
];
