import { NextResponse } from 'next/server';
import { listFamily } from '@/server/runList';
import { readRuns } from '@/server/runRepository';
import { answered, refused } from '../../answers';

export const dynamic = 'force-dynamic';

/** So many runs of a family are taken together: a set of stops for more would be none. */
const MOST = 8;

/** The runs that share the name of a family, as they are saved, the oldest first; and how many share it at all. */
export const GET = (request: Request) =>
  answered(async () => {
    const name = new URL(request.url).searchParams.get('name')?.trim() ?? '';
    if (name === '') return refused([{ path: 'name', message: 'is missing: which family?' }], 400);
    const all = await listFamily(name);
    const { runs } = await readRuns(all.slice(0, MOST));
    return NextResponse.json({
      runs: runs.sort((a, b) => a.id - b.id).map(({ id, file }) => ({ id, file })),
      of: all.length,
    });
  });
