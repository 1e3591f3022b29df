import { NextResponse } from 'next/server';
import { listProgress } from '@/server/runList';
import { answered } from '../../answers';

export const dynamic = 'force-dynamic';

/** How many runs there are, and of how many the figures are still being planned again. */
export const GET = () => answered(async () => NextResponse.json(await listProgress()));
