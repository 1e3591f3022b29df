import { csvFormatRows } from 'd3-dsv';
import type { QuotedPrice } from '../money/quotation';
import type { Part } from '../model/part/part';

/** A quotation as a table: the part, and each quantity with its prices. */
export const quotationCsv = (
  part: Pick<Part, 'number' | 'revision'>,
  prices: readonly QuotedPrice[],
  currency: string,
): string =>
  csvFormatRows([
    ['part', 'revision', 'quantity', `each, ${currency}`, `in all, ${currency}`],
    ...prices.map(({ quantity, each, all }) => [
      part.number,
      part.revision ?? '',
      String(quantity),
      each.toFixed(2),
      all.toFixed(2),
    ]),
  ]);
