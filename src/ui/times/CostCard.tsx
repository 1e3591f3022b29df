'use client';
import { sayFigure, sayFixed } from '@/core/model/units/mark';
import { useState } from 'react';
import type { PriceBreak } from '@/core/ask/running';
import type { RunFile } from '@/core/read/runFile';
import { wantedFor } from '@/core/money/target';
import type { Plan } from '@/core/plan/plan';
import type { UnitSystem } from '@/core/model/units/length';
import { sayMinutes } from '@/core/model/units/show';
import type { BatchAccount } from '@/workers/times.worker';
import { Card } from '../primitives/Card';
import { Heads, Table } from '../primitives/Table';
import { Field } from '../primitives/Field';
import { FigureButton } from '../sheet/Working';
import { LineChart } from './LineChart';

interface Props {
  plan: Plan;
  account: BatchAccount;
  breaks: PriceBreak[] | undefined;
  offer: RunFile['offer'];
  onOffer: (offer: RunFile['offer']) => void;
}

/** A number that was typed; nothing for nothing, and a word where it is none. */
function numberOf(text: string): number | undefined | 'none' {
  if (text.trim() === '') return undefined;
  const value = Number(text.replace(',', '.'));
  return Number.isFinite(value) && value >= 0 ? value : 'none';
}

/** A quantity whose price is known. */
type Priced = Required<Omit<PriceBreak, 'problem'>>;

/** What the batch and a piece are made up of. */
const CostTable = ({ cost, units, quantity }: { cost: BatchAccount['cost']; units: UnitSystem; quantity: number }) => (
  <Table>
    <Heads of={['Of', { figures: 'batch' }, { figures: 'a piece' }]} />
    <tbody>
      {[cost.material, cost.labour, cost.edges, cost.order].map((share) => (
        <tr key={share.name}>
          <th scope="row">{share.name}</th>
          <td className="figure">
            <FigureButton figure={share} units={units} />
          </td>
          <td className="figure">{sayFixed(share.value / quantity, 2)}</td>
        </tr>
      ))}
      <tr>
        <th scope="row">total</th>
        <td className="figure">
          <FigureButton figure={cost.batch} units={units} />
        </td>
        <td className="figure">
          <FigureButton figure={cost.piece} units={units} />
        </td>
      </tr>
      <tr>
        <th scope="row" style={{ fontWeight: 400 }}>
          of that, paid once: setting up, first-off, ordering
        </th>
        <td />
        <td className="figure">
          <FigureButton figure={cost.setupShare} units={units} />
        </td>
      </tr>
    </tbody>
  </Table>
);

/** What a piece of other quantities would cost, as a line and as figures. */
const PriceByQuantity = ({
  priced,
  quantity,
  currency,
}: {
  priced: readonly Priced[];
  quantity: number;
  currency: string;
}) => (
  <>
    <h2 style={{ marginTop: 12 }}>Price by quantity</h2>
    <LineChart
      title={`Cost of a piece over the quantity, in ${currency}`}
      series={[
        { id: 'piece', name: 'a piece', strong: true, points: priced.map((price) => [price.quantity, price.piece]) },
      ]}
      marks={priced.map((price) => ({
        x: price.quantity,
        y: price.piece,
        words: `${price.quantity} pieces: ${sayFixed(price.piece, 2)} ${currency} each, ${sayFixed(price.batch, 2)} ${currency} in all`,
      }))}
      x="pieces in the batch"
      y={`${currency} a piece`}
      sayY={(value) => sayFigure(value, 1)}
    />
    <Table>
      <Heads of={['Pieces', { figures: 'each' }, { figures: 'batch' }, { figures: 'time' }]} />
      <tbody>
        {priced.map((price) => (
          <tr key={price.quantity} aria-current={price.quantity === quantity || undefined}>
            <th scope="row">{price.quantity}</th>
            <td className="figure">{sayFixed(price.piece, 2)}</td>
            <td className="figure">{sayFixed(price.batch, 2)}</td>
            <td className="figure">{sayMinutes(price.minutes)}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  </>
);

/** What the batch and a piece cost, what other quantities would, and what a price would ask for. */
export function CostCard({ plan, account, breaks, offer, onOffer }: Props) {
  const { units, quantity, shop } = plan.run;
  const { currency } = shop.rates;
  const { cost } = account;
  const [target, setTarget] = useState('');
  const [each, setEach] = useState(offer ? sayFigure(offer.each) : '');
  const wanted = numberOf(target);
  const asked = numberOf(each);
  const priced = breaks?.filter((at): at is Priced => at.piece !== undefined) ?? [];
  return (
    <Card aria-labelledby="cost">
      <h2 id="cost">Cost, in {currency}</h2>
      <CostTable cost={cost} units={units} quantity={quantity} />
      {priced.length > 1 && <PriceByQuantity priced={priced} quantity={quantity} currency={currency} />}
      <h2 className="screen-only" style={{ marginTop: 12 }}>
        A price to meet, an offer to compare
      </h2>
      <div className="screen-only" style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 12, maxWidth: 380 }}>
        <Field
          label={`Price of a piece, ${currency}`}
          value={target}
          onChange={setTarget}
          problem={wanted === 'none' ? 'is not a price' : undefined}
        />
        <Field
          label={`Bought in, each, ${currency}`}
          value={each}
          onChange={(text) => {
            setEach(text);
            const value = numberOf(text);
            if (value !== 'none') onOffer(value === undefined ? undefined : { ...offer, each: value });
          }}
          problem={asked === 'none' ? 'is not a price' : undefined}
        />
      </div>
      {typeof wanted === 'number' && (
        <ul style={{ marginTop: 8, fontSize: 14 }} aria-label="To meet the price">
          {wantedFor(wanted, plan, cost).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
    </Card>
  );
}
