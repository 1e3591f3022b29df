import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { emptyRun } from '@/core/read/runFile';
import { onHandFor } from '@/core/rack/rack';
import { listRack } from '@/server/rackRepository';
import { currentShop } from '@/server/shopRepository';
import { RunWorkspace } from '@/ui/run/RunWorkspace';
import { loaded, loadRun } from '../../pages';

export const dynamic = 'force-dynamic';

type Props = { params: Promise<{ id: string }>; children: ReactNode };

export default async function RunLayout({ params, children }: Props) {
  const { id } = await params;
  const run = await loadRun(id);
  if (!run && id !== 'new') notFound();
  const [shop, items] = await loaded(() => Promise.all([currentShop(), listRack()]));
  return (
    <RunWorkspace
      key={id}
      id={id}
      served={run?.file ?? emptyRun()}
      revision={run?.revision ?? 0}
      newerPart={run?.newerPart}
      copiedFrom={run?.copiedFrom}
      shop={{ ...shop, rack: onHandFor(items, run?.id) }}
    >
      {children}
    </RunWorkspace>
  );
}
