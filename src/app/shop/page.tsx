import type { Metadata } from 'next';
import { usedBy } from '@/core/ask/usedBy';
import { listUses } from '@/server/runList';
import { currentRevision } from '@/server/shopRepository';
import { ShopPlace } from '@/ui/shop/ShopPlace';
import { loaded } from '../pages';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shop' };

export default async function ShopPage() {
  const [numbered, uses] = await loaded(() => Promise.all([currentRevision(), listUses()]));
  return <ShopPlace served={numbered.shop} revision={numbered.revision} used={usedBy(uses)} />;
}
