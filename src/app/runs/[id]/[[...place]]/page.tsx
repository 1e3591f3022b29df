import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { RunPlace } from '@/ui/run/RunPlace';
import { isPlace, titleOf, type Place } from '@/ui/run/places';
import { loadRun } from '../../../pages';

type Props = { params: Promise<{ id: string; place?: string[] }> };

const placeOf = ([name = '']: string[] = []): Place => (isPlace(name) ? name : '');

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { id, place } = await params;
  const run = await loadRun(id);
  return { title: titleOf(run?.file.part ?? {}, placeOf(place)) };
}

/** One route for all the places of a run, so that going between them asks nothing of the server. */
export default async function RunPage({ params }: Pick<Props, 'params'>) {
  const { place = [] } = await params;
  if (place.length > 1 || !isPlace(place[0] ?? '')) notFound();
  return <RunPlace />;
}
