import { NextResponse } from 'next/server';
import { earlierOf } from '@/server/latheEvents';
import { answered, idIn, noSuchRun } from '../../../answers';

type Context = { params: Promise<{ id: string }> };

/** What the run of this part before proved at the lathe; `earlier` is missing where there was none. */
export const GET = (_request: Request, { params }: Context) =>
  answered(async () => {
    const id = idIn(await params);
    return id === undefined ? noSuchRun() : NextResponse.json({ earlier: await earlierOf(id) });
  });
