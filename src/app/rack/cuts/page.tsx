import type { Metadata } from 'next';
import { sameSection } from '@/core/rack/rack';
import { listRack } from '@/server/rackRepository';
import { listNeeds, listProgress } from '@/server/runList';
import { currentRevision } from '@/server/shopRepository';
import { CutLists } from '@/ui/rack/CutLists';
import { loaded } from '../../pages';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cut list' };

export default async function CutListPage() {
  const [items, needs, progress, { shop }] = await loaded(() =>
    Promise.all([listRack(), listNeeds(), listProgress(), currentRevision()]),
  );
  return (
    <CutLists
      needs={needs}
      progress={progress}
      items={items.filter((item) => needs.some(({ section }) => sameSection(section, item)))}
      materials={shop.materials.map(({ id, name }) => ({ id, name }))}
      keepFrom={shop.allowances.offcutFrom}
    />
  );
}
