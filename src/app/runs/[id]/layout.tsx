import { notFound } from 'next/navigation';
import type { Metadata } from 'next';
import { cache, type ReactNode } from 'react';
import { emptyRun } from '@/core/read/runFile';
import { onHandFor } from '@/core/rack/rack';
import { listRack } from '@/server/rackRepository';
import { findRun } from '@/server/runRepository';
import { currentShop } from '@/server/shopRepository';
import { RunWorkspace } from '@/ui/run/RunWorkspace';
import { loaded } from '../../pages';

export const dynamic = 'force-dynamic';

type Props = { params: Promise<{ id: string }>; children: ReactNode };

// Asked for by the title and by the page: one answer serves both.
const load = cache((id: string) => loaded(async () => (/^\d{1,9}$/.test(id) ? findRun(Number(id)) : undefined)));

export async function generateMetadata({ params }: Pick<Props, 'params'>): Promise<Metadata> {
  const { id } = await params;
  const run = await load(id);
  return { title: run ? `${run.file.part.number} ${run.file.part.name ?? ''}` : 'New run' };
}

export default async function RunLayout({ params, children }: Props) {
  const { id } = await params;
  const run = await load(id);
  if (!run && id !== 'new') notFound();
  const [shop, items] = await loaded(() => Promise.all([currentShop(), listRack()]));
  return (
    <RunWorkspace
      key={id}
      id={id}
      served={run?.file ?? emptyRun()}
      revision={run?.revision ?? 0}
      newerPart={run?.newerPart}
      shop={{ ...shop, rack: onHandFor(items, run?.id) }}
    >
      {children}
    </RunWorkspace>
  );
}
