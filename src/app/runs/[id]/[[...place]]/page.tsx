import { notFound } from 'next/navigation';
import { RunPlace } from '@/ui/run/RunPlace';
import { isPlace } from '@/ui/run/places';

/** One route for all the places of a run, so that going between them asks nothing of the server. */
export default async function RunPage({ params }: { params: Promise<{ place?: string[] }> }) {
  const { place = [] } = await params;
  if (place.length > 1 || !isPlace(place[0] ?? '')) notFound();
  return <RunPlace />;
}
