'use client';
import { sayFixed } from '@/core/model/units/mark';
import { format, parseISO } from 'date-fns';
import { quotationTable } from '@/core/formats/quotationTable';
import { quotedPrices } from '@/core/money/quotation';
import type { Plan } from '@/core/plan/plan';
import { assumed } from '@/core/present/assumed';
import { NO_QUOTE } from '@/core/read/runFile';
import { EarlierCosts } from '../learned/EarlierCosts';
import { useLearned } from '../learned/useLearned';
import { Button } from '../primitives/Button';
import { useGiveTable } from '../device/useGiveTable';
import { useWorkspace } from '../run/WorkspaceContext';
import { useTimes } from '../times/useTimes';
import { Paper } from './Paper';
import { isDay, QuoteFields } from './QuoteFields';
import { QuotedPrices } from './QuotedPrices';

/** What the run is offered for, as paper: quantities and prices, delivery, until when it holds, what it rests on, terms. */
export function Quotation({ plan }: { plan: Plan }) {
  const { id, file, edit, revision } = useWorkspace();
  const { learned } = useLearned();
  const { breaks } = useTimes(1);
  const giveTable = useGiveTable();
  const quote = file.quote ?? NO_QUOTE;
  const { part, shop } = plan.run;
  const { currency } = shop.rates;
  const costs = (breaks ?? []).flatMap(({ quantity, batch }) => (batch === undefined ? [] : [{ quantity, batch }]));
  const prices = quotedPrices(costs, quote);
  const { accepted } = quote;
  // What is ordered is what is made: the quantity goes into the run with it, and undo takes both back.
  const accept = (quantity: number, each: number) =>
    edit(undefined, (run) => {
      run.quantity = quantity;
      run.quote = { ...run.quote, accepted: { quantity, each, on: format(new Date(), 'yyyy-MM-dd') } };
    });
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
      <aside className="screen-only" style={{ maxWidth: '188mm', margin: '0 auto 14px' }}>
        {learned && <EarlierCosts learned={learned} number={part.number} id={id} />}
      </aside>
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
        <QuotedPrices prices={prices} accepted={accepted} onAccept={accept} />
        <h2>What it rests on</h2>
        <ul>
          {assumed(plan).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
        {accepted && (
          <p>
            Accepted on {format(parseISO(accepted.on), 'd MMMM yyyy')}: {accepted.quantity} pieces at{' '}
            {sayFixed(accepted.each, 2)}.
          </p>
        )}
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
