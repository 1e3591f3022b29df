import type { Metadata } from 'next';
import { holderFrom } from '@/core/ask/holderFrom';
import { usedBy } from '@/core/ask/usedBy';
import { listUses } from '@/server/runList';
import { findRun } from '@/server/runRepository';
import { currentRevision } from '@/server/shopRepository';
import { ShopPlace } from '@/ui/shop/ShopPlace';
import { loaded } from '../pages';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shop' };

interface Props {
  /** The run that made what is to be kept as a holder. */
  searchParams: Promise<{ holder?: string }>;
}

export default async function ShopPage({ searchParams }: Props) {
  const made = Number((await searchParams).holder);
  const [numbered, uses, run] = await loaded(() =>
    Promise.all([currentRevision(), listUses(), Number.isInteger(made) ? findRun(made) : undefined]),
  );
  const offered = run && holderFrom(run.file, numbered.shop);
  return (
    <ShopPlace
      served={numbered.shop}
      revision={numbered.revision}
      used={usedBy(uses)}
      {...(offered ? { offered } : {})}
    />
  );
}
