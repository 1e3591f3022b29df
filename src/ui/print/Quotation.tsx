'use client';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import styled from 'styled-components';
import { quotationTable } from '@/core/formats/quotationTable';
import { quotedPrices } from '@/core/money/quotation';
import type { Plan } from '@/core/plan/plan';
import { assumed } from '@/core/present/assumed';
import { NO_QUOTE, type Quote } from '@/core/read/runFile';
import { Button } from '../primitives/Button';
import { useGiveTable } from '../device/useGiveTable';
import { Field } from '../primitives/Field';
import { useWorkspace } from '../run/WorkspaceContext';
import { useTimes } from '../times/useTimes';
import { Paper } from './Paper';

const Asked = styled.section`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 14px;
  max-width: 188mm;
  margin: 0 auto 14px;
  .wide {
    grid-column: 1 / -1;
  }
`;

/** A percentage as it is typed; undefined where nothing is. */
const percentOf = (text: string): number | undefined | 'none' => {
  if (text.trim() === '') return undefined;
  const value = Number(text.replace(',', '.'));
  return Number.isFinite(value) && value >= 0 ? value : 'none';
};

const isDay = (text: string) => text === '' || /^\d{4}-\d{2}-\d{2}$/u.test(text);

/** What comes on the cost, and what is said beside the prices; kept with the run, whose revisions are the quotation's. */
function QuoteFields({ quote, onQuote }: { quote: Quote; onQuote: (quote: Quote) => void }) {
  const [texts, setTexts] = useState({ margin: String(quote.margin ?? ''), firstRisk: String(quote.firstRisk ?? '') });
  const put = (key: keyof Quote, value: Quote[keyof Quote]) => {
    const kept = Object.fromEntries(Object.entries(quote).filter(([name]) => name !== key));
    onQuote(value === undefined || value === '' ? kept : { ...kept, [key]: value });
  };
  const percent = (key: 'margin' | 'firstRisk', label: string) => (
    <Field
      label={label}
      value={texts[key]}
      problem={percentOf(texts[key]) === 'none' ? `“${texts[key]}” is no percentage from 0 on` : undefined}
      onChange={(text) => {
        setTexts((was) => ({ ...was, [key]: text }));
        const value = percentOf(text);
        if (value !== 'none') put(key, value);
      }}
    />
  );
  return (
    <Asked className="screen-only" aria-label="What is offered">
      {percent('margin', 'Earned, % of the cost')}
      {percent('firstRisk', 'First run’s risk, % of the cost')}
      <Field
        label="Holds until"
        value={quote.until ?? ''}
        placeholder="2026-12-24"
        problem={isDay(quote.until ?? '') ? undefined : 'a day as 2026-12-24'}
        onChange={(until) => put('until', until)}
      />
      <Field label="Delivery" plain value={quote.delivery ?? ''} onChange={(text) => put('delivery', text)} />
      <div className="wide">
        <Field label="Terms" plain value={quote.terms ?? ''} onChange={(text) => put('terms', text)} />
      </div>
    </Asked>
  );
}

/** What the run is offered for, as paper: quantities and prices, delivery, until when it holds, what it rests on, terms. */
export function Quotation({ plan }: { plan: Plan }) {
  const { file, edit, revision } = useWorkspace();
  const { breaks } = useTimes(1);
  const giveTable = useGiveTable();
  const quote = file.quote ?? NO_QUOTE;
  const { part, shop } = plan.run;
  const { currency } = shop.rates;
  const costs = (breaks ?? []).flatMap(({ quantity, batch }) => (batch === undefined ? [] : [{ quantity, batch }]));
  const prices = quotedPrices(costs, quote);
  return (
    <>
      <QuoteFields
        quote={quote}
        onQuote={(next) =>
          edit('quote', (run) => {
            if (Object.keys(next).length > 0) run.quote = next;
            else delete run.quote;
          })
        }
      />
      <Paper aria-busy={!breaks}>
        <div className="head">
          <div>
            <h1>Quotation: {part.name || part.number}</h1>
            <p>
              {part.number}
              {part.revision && ` · revision ${part.revision}`}
              {revision > 0 && ` · quotation ${revision} of this run`}
              {file.customer && ` · for ${file.customer}`}
            </p>
          </div>
          <div className="off">{currency}</div>
        </div>
        {!breaks && <p>Pricing each quantity …</p>}
        <table aria-label="Quantities and prices">
          <thead>
            <tr>
              {['pieces', 'each', 'in all'].map((head) => (
                <th key={head} className="figure">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {prices.map(({ quantity, each, all }) => (
              <tr key={quantity}>
                <td className="figure">{quantity}</td>
                <td className="figure">{each.toFixed(2)}</td>
                <td className="figure">{all.toFixed(2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <h2>What it rests on</h2>
        <ul>
          {assumed(plan).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
        {quote.delivery && <p>Delivery: {quote.delivery}</p>}
        {quote.until && isDay(quote.until) && <p>It holds until {format(parseISO(quote.until), 'd MMMM yyyy')}.</p>}
        {quote.terms && <p className="foot">{quote.terms}</p>}
      </Paper>
      <p className="screen-only" style={{ textAlign: 'center' }}>
        <Button
          isDisabled={!breaks}
          onPress={() => giveTable(`${part.number}-quotation`, quotationTable(part, prices, currency))}
        >
          CSV
        </Button>
      </p>
    </>
  );
}
