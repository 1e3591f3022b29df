import { NextResponse } from 'next/server';

export const dynamic = 'force-dynamic';

/** Whether the server is there; the database is not asked. */
export const GET = () => NextResponse.json({ alive: true });
