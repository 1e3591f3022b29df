'use client';
import { sayEntry } from '@/core/model/units/mark';
import { useState } from 'react';
import styled from 'styled-components';
import type { Quote } from '@/core/read/runFile';
import { Field } from '../primitives/Field';
import { ByTheDays } from './ByTheDays';

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

/** Whether it is a day, or nothing yet. */
export const isDay = (text: string) => text === '' || /^\d{4}-\d{2}-\d{2}$/u.test(text);

/** What comes on the cost, and what is said beside the prices; kept with the run, whose revisions are the quotation's. */
export function QuoteFields({ quote, onQuote }: { quote: Quote; onQuote: (quote: Quote) => void }) {
  const [texts, setTexts] = useState({
    margin: sayEntry(quote.margin ?? ''),
    firstRisk: sayEntry(quote.firstRisk ?? ''),
  });
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
      <ByTheDays onDay={(words) => put('delivery', words)} />
      <div className="wide">
        <Field label="Terms" plain value={quote.terms ?? ''} onChange={(text) => put('terms', text)} />
      </div>
    </Asked>
  );
}
