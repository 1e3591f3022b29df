import type { Metadata } from 'next';
import { listRack } from '@/server/rackRepository';
import { listRuns } from '@/server/runRepository';
import { currentRevision } from '@/server/shopRepository';
import { CutLists } from '@/ui/rack/CutLists';
import { plannedRuns } from '../../planned';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cut list' };

export default async function CutListPage() {
  const [items, { runs }, numbered] = await Promise.all([listRack(), listRuns(), currentRevision()]);
  const { shop } = numbered;
  return (
    <CutLists
      needs={(await plannedRuns(runs, numbered, items)).flatMap(({ need }) => need ?? [])}
      items={items}
      materials={shop.materials.map(({ id, name }) => ({ id, name }))}
      keepFrom={shop.allowances.offcutFrom}
    />
  );
}
