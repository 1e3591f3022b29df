import { NextResponse } from 'next/server';
import { runsToMake } from '@/server/runsToMake';
import { answered } from '../answers';

/** Runs that are still to be made, each on every lathe as far as that is planned. */
export const GET = () => answered(async () => NextResponse.json({ runs: await runsToMake() }));
