import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { emptyRun } from '@/core/read/runFile';
import { plannedWith } from '@/server/plannedWith';
import { currentRevision } from '@/server/shopRepository';
import { RunWorkspace } from '@/ui/run/RunWorkspace';
import { deviceSettings } from '../../deviceSettings';
import { loaded, loadRun } from '../../pages';

export const dynamic = 'force-dynamic';

type Props = { params: Promise<{ id: string }>; children: ReactNode };

export default async function RunLayout({ params, children }: Props) {
  const { id } = await params;
  const run = await loadRun(id);
  if (!run && id !== 'new') notFound();
  const [{ shop, shopRevision, rack, begunAt }, newest] = await loaded(async () => {
    const asked = run?.id ?? 0;
    const [withOf, { revision }] = await Promise.all([plannedWith([asked]), currentRevision()]);
    return [withOf(asked), revision] as const;
  });
  return (
    <RunWorkspace
      key={id}
      id={id}
      served={run?.file ?? emptyRun((await deviceSettings()).units)}
      revision={run?.revision ?? 0}
      newerPart={run?.newerPart}
      copiedFrom={run?.copiedFrom}
      shop={{ ...shop, rack }}
      shopRevision={shopRevision}
      begun={
        begunAt && shopRevision < newest ? { at: begunAt.toISOString(), shop: shopRevision, now: newest } : undefined
      }
    >
      {children}
    </RunWorkspace>
  );
}
