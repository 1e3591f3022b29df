import { NO_QUOTE, type Quote } from '../read/runFile';

/** What a quantity costs in all. */
export interface CostOf {
  quantity: number;
  batch: number;
}

/** What a quantity is offered for. */
export interface QuotedPrice {
  quantity: number;
  each: number;
  all: number;
}

const cents = (amount: number) => Math.round(amount * 100 + 1e-6) / 100;

/**
 * What quantities are offered for (trade: Shop arithmetic): their cost, more by the risk of a run that was never made, more by the margin. A piece is told in whole
 * hundredths, and the batch is so many of it.
 */
export function quotedPrices(costs: readonly CostOf[], quote: Quote = NO_QUOTE): QuotedPrice[] {
  const more = (1 + (quote.firstRisk ?? 0) / 100) * (1 + (quote.margin ?? 0) / 100);
  return costs.map(({ quantity, batch }) => {
    const each = cents((batch * more) / quantity);
    return { quantity, each, all: cents(each * quantity) };
  });
}
