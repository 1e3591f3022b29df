import type { DaySpan } from '@/core/schedule/days';

const DAY = /^\d{4}-\d{2}-\d{2}$/u;

/** Days as they are typed: 2026-12-24 or 2026-12-24 to 2027-01-03, with commas between. */
export function spansOf(text: string): DaySpan[] | undefined {
  const words = text
    .split(/[,;]/u)
    .map((word) => word.trim())
    .filter(Boolean);
  const spans = words.map((word) => {
    const [from = '', to = from] = word.split(/\s+to\s+/u);
    return DAY.test(from) && DAY.test(to) && from <= to ? { from, to } : undefined;
  });
  return spans.every((span) => span !== undefined) ? spans : undefined;
}

/** Days as they are typed, from what is kept. */
export const saySpans = (spans: readonly DaySpan[]): string =>
  spans.map(({ from, to }) => (from === to ? from : `${from} to ${to}`)).join(', ');

/** What is hinted where days are typed. */
export const HINT = 'days as 2026-12-24, or 2026-12-24 to 2027-01-03, with commas between';

/** What is wrong with days that were typed, if anything. */
export const wrongDays = (text: string) => (spansOf(text) ? undefined : HINT);
