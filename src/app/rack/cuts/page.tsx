import type { Metadata } from 'next';
import { listRack } from '@/server/rackRepository';
import { listRuns } from '@/server/runRepository';
import { currentShop } from '@/server/shopRepository';
import { CutLists } from '@/ui/rack/CutLists';
import { stockNeeds } from '../needs';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cut list' };

export default async function CutListPage() {
  const [items, { runs }, shop] = await Promise.all([listRack(), listRuns(), currentShop()]);
  return (
    <CutLists
      needs={stockNeeds(runs, shop, items)}
      items={items}
      materials={shop.materials.map(({ id, name }) => ({ id, name }))}
      keepFrom={shop.allowances.offcutFrom}
    />
  );
}
