'use client';
import { sayFixed } from '@/core/model/units/mark';
import type { QuotedPrice } from '@/core/money/quotation';
import type { Quote } from '@/core/read/runFile';
import { TextButton } from '../primitives/TextButton';

/** Quantities with what they are offered for, and on the screen a press for the one that the customer takes. */
export const QuotedPrices = ({
  prices,
  accepted,
  onAccept,
}: {
  prices: readonly QuotedPrice[];
  accepted: Quote['accepted'];
  onAccept: (quantity: number, each: number) => void;
}) => (
  <table aria-label="Quantities and prices">
    <thead>
      <tr>
        {['pieces', 'each', 'in all'].map((head) => (
          <th key={head} className="figure">
            {head}
          </th>
        ))}
        <th className="screen-only">taken</th>
      </tr>
    </thead>
    <tbody>
      {prices.map(({ quantity, each, all }) => (
        <tr key={quantity}>
          <td className="figure">{quantity}</td>
          <td className="figure">{sayFixed(each, 2)}</td>
          <td className="figure">{sayFixed(all, 2)}</td>
          <td className="screen-only">
            {accepted?.quantity === quantity ? (
              `accepted at ${sayFixed(accepted.each, 2)}`
            ) : (
              <TextButton type="button" onClick={() => onAccept(quantity, each)}>
                Accepted: {quantity}
              </TextButton>
            )}
          </td>
        </tr>
      ))}
    </tbody>
  </table>
);
