import { NextResponse } from 'next/server';
import { learnedRuns } from '@/server/learned';
import { answered } from '../answers';

/** What runs taught of their minutes. */
export const GET = () => answered(async () => NextResponse.json({ learned: await learnedRuns() }));
