import { NextResponse } from 'next/server';
import { revisionsOf } from '@/server/partRepository';
import { answered } from '../answers';

/** Every kept revision of a part, the newest first: `/api/parts?number=WS-210`. A number that is not kept has none. */
export const GET = (request: Request) =>
  answered(async () => {
    const number = new URL(request.url).searchParams.get('number') ?? '';
    return NextResponse.json({ revisions: await revisionsOf(number) });
  });
