import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { nextOn } from '@/server/placedNow';
import { currentShop } from '@/server/shopRepository';
import { NothingNext } from '@/ui/days/NothingNext';
import { loaded } from '../../pages';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'At this lathe' };

/** What a lathe's own tablet opens: the run that is made next there, at the lathe. */
export default async function LathePage({ params }: { params: Promise<{ id: string }> }) {
  const id = decodeURIComponent((await params).id);
  const { machines } = await loaded(currentShop);
  const machine = machines.find((one) => one.id === id);
  if (!machine) notFound();
  const ids = machines.map((one) => one.id);
  const next = await loaded(() => nextOn(id, ids));
  if (next) redirect(next.address);
  return <NothingNext lathe={machine.name} />;
}
