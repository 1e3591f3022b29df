'use client';
import { format } from 'date-fns';
import { createGlobalStyle } from 'styled-components';
import type { Run } from '@/core/model/run';

/** What a page says of itself at its foot, as the browser prints it: a text of the style has its quotes escaped like any other. */
const Margins = createGlobalStyle<{ $what: string; $when: string }>`
  @page {
    @bottom-left { content: ${({ $what }) => JSON.stringify($what)}; font: 9pt sans-serif; color: #000; white-space: nowrap; }
    @bottom-center { content: ${({ $when }) => JSON.stringify($when)}; font: 9pt sans-serif; color: #000; }
  }
`;

/** On every page: which part, which revision, how many, of which paper; when it was planned. Which page of how many every paper says. */
export function PageMargins({ run: { part, quantity }, paper }: { run: Run; paper: string }) {
  const what = [part.number, part.revision && `revision ${part.revision}`, `${quantity} off`, paper];
  return <Margins $what={what.filter(Boolean).join(' · ')} $when={`planned ${format(new Date(), 'd MMM yyyy')}`} />;
}
