import { NextResponse } from 'next/server';
import { runsToMake } from '@/server/runsToMake';
import { answered } from '../answers';

/** Runs that are still to be made, each on every lathe as far as that is planned; with `?also=` one that may be a draft. */
export const GET = (request: Request) =>
  answered(async () => {
    const also = new URL(request.url).searchParams.get('also') ?? '';
    const run = /^[1-9]\d{0,8}$/u.test(also) ? Number(also) : undefined;
    return NextResponse.json({ runs: await runsToMake(run) });
  });
