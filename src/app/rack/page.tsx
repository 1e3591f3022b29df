import type { Metadata } from 'next';
import { shortages } from '@/core/rack/rack';
import { currentRevision } from '@/server/shopRepository';
import { listLevels, listRack, rackHistory } from '@/server/rackRepository';
import { listRuns } from '@/server/runRepository';
import { Rack } from '@/ui/rack/Rack';
import { plannedRuns } from '../planned';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Rack' };

export default async function RackPage() {
  const [items, history, levels, { runs }, numbered] = await Promise.all([
    listRack(),
    rackHistory(),
    listLevels(),
    listRuns(),
    currentRevision(),
  ]);
  const { shop } = numbered;
  const needs = (await plannedRuns(runs, numbered, items)).flatMap(({ need }) => need ?? []);
  return (
    <Rack
      items={items}
      history={history}
      runs={runs.map(({ id, file: { part } }) => ({
        id,
        number: part.number,
        // Two runs of one part are told apart by their revisions.
        name: [part.name, part.revision && `rev ${part.revision}`].filter(Boolean).join(', '),
      }))}
      materials={shop.materials.map(({ id, name }) => ({ id, name }))}
      short={shortages(needs, items, levels)}
      levels={levels}
      keepFrom={shop.allowances.offcutFrom}
      currency={shop.rates.currency}
    />
  );
}
