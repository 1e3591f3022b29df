import type { Metadata } from 'next';
import { usedBy } from '@/core/shop/usedBy';
import { listRack } from '@/server/rackRepository';
import { listRuns } from '@/server/runRepository';
import { currentRevision } from '@/server/shopRepository';
import { ShopPlace } from '@/ui/shop/ShopPlace';
import { plannedRuns } from '../planned';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shop' };

export default async function ShopPage() {
  const [numbered, { runs }, items] = await Promise.all([currentRevision(), listRuns(), listRack()]);
  const uses = (await plannedRuns(runs, numbered, items)).flatMap((own) => own.uses ?? []);
  return <ShopPlace served={numbered.shop} revision={numbered.revision} used={usedBy(uses)} />;
}
