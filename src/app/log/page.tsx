import type { Metadata } from 'next';
import { subDays } from 'date-fns';
import { logDays } from '@/core/present/logDays';
import { logOf } from '@/server/latheEvents';
import { runNames } from '@/server/runList';
import { ShopLog } from '@/ui/log/ShopLog';
import { loaded, textIn, type Asked } from '../pages';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Log' };

/** How far back it goes, by what the address calls it, days. */
const BACK: Record<string, number> = { week: 7, month: 31, year: 366 };
/** The most that is looked through for a page. */
const MOST = 20_000;

export default async function LogPage({ searchParams }: { searchParams: Asked }) {
  const asked = await searchParams;
  const [find, back] = [textIn(asked.find), textIn(asked.back)];
  const from = subDays(new Date(), BACK[back] ?? BACK['month'] ?? 31);
  const [events, runs] = await loaded(() =>
    Promise.all([logOf({ from, most: MOST, ...(find === '' ? {} : { find }) }), runNames()]),
  );
  return <ShopLog days={logDays(events)} runs={runs} sought={{ find, page: 1, narrowed: { back } }} />;
}
