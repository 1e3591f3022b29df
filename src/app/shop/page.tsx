import type { Metadata } from 'next';
import { usedBy } from '@/core/shop/usedBy';
import { listRuns } from '@/server/runRepository';
import { currentRevision } from '@/server/shopRepository';
import { ShopPlace } from '@/ui/shop/ShopPlace';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shop' };

export default async function ShopPage() {
  const [{ revision, shop }, { runs }] = await Promise.all([currentRevision(), listRuns()]);
  return <ShopPlace served={shop} revision={revision} used={usedBy(runs, shop)} />;
}
