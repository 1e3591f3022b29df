import type { Metadata } from 'next';
import { bySection, shortages, type RackItem } from '@/core/rack/rack';
import { nameOfBar } from '@/core/plan/stock/nameOfBar';
import { listNeeds, listProgress, runNames } from '@/server/runList';
import { currentRevision } from '@/server/shopRepository';
import { listLevels, listRack, rackHistory } from '@/server/rackRepository';
import { Rack } from '@/ui/rack/Rack';
import { loaded, pageIn, textIn, type Asked } from '../pages';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Rack' };

/** Bars on a page, about: a section is never divided. */
const ON_A_PAGE = 60;

/** Lots in which every word is found: in the name of the section, or in place, batch or number of one of its bars. */
function matching(lots: RackItem[][], find: string, nameOf: (item: RackItem) => string): RackItem[][] {
  const words = find.toLowerCase().split(/\s+/u).filter(Boolean);
  return lots.filter((lot) => {
    const text = lot
      .map((item) => `${nameOf(item)} ${item.id} ${item.place} ${item.batch}`)
      .join(' ')
      .toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

/** Lots in pages, each as full as whole sections make it. */
function inPages(lots: RackItem[][]): RackItem[][] {
  const pages: RackItem[][] = [];
  for (const lot of lots) {
    const last = pages.at(-1);
    if (last && last.length + lot.length <= ON_A_PAGE) last.push(...lot);
    else pages.push([...lot]);
  }
  return pages;
}

export default async function RackPage({ searchParams }: { searchParams: Asked }) {
  const asked = await searchParams;
  const [find, page] = [textIn(asked.find), pageIn(asked.page)];
  const [items, history, levels, needs, runs, progress, { shop }] = await loaded(() =>
    Promise.all([listRack(), rackHistory(), listLevels(), listNeeds(), runNames(), listProgress(), currentRevision()]),
  );
  const nameOf = (item: RackItem) =>
    `${shop.materials.find(({ id }) => id === item.material)?.name ?? item.material} ${nameOfBar(item, 'mm')}`;
  const short = shortages(needs, items, levels);
  const lots = bySection(items);
  const found = matching(lots, find, nameOf);
  const pages = inPages(found);
  return (
    <Rack
      items={pages[page - 1] ?? []}
      sought={{ find, page }}
      pages={pages.length}
      counts={{ found: found.flat().length, all: items.length }}
      progress={progress}
      history={history}
      runs={runs}
      materials={shop.materials.map(({ id, name }) => ({ id, name }))}
      short={short}
      levels={levels}
      keepFrom={shop.allowances.offcutFrom}
      currency={shop.rates.currency}
    />
  );
}
