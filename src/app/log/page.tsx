import type { Metadata } from 'next';
import { subDays } from 'date-fns';
import { logDays } from '@/core/present/logDays';
import { logOf } from '@/server/latheEvents';
import { runNames } from '@/server/runList';
import { currentShop } from '@/server/shopRepository';
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
  const [find, back, lathe, tool] = [asked.find, asked.back, asked.lathe, asked.tool].map(textIn) as [
    string,
    string,
    string,
    string,
  ];
  const from = subDays(new Date(), BACK[back] ?? BACK['month'] ?? 31);
  const [events, runs, shop] = await loaded(() =>
    Promise.all([logOf({ from, most: MOST, find, lathe, tool }), runNames(), currentShop()]),
  );
  const named = (all: readonly { id: string; name: string }[]) => all.map(({ id, name }) => [id, name] as const);
  return (
    <ShopLog
      days={logDays(events)}
      runs={runs}
      lathes={named(shop.machines)}
      tools={named(shop.tools)}
      sought={{ find, page: 1, narrowed: { back, lathe, tool } }}
    />
  );
}
