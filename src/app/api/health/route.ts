import { NextResponse } from 'next/server';
import { currentShop } from '@/server/shopRepository';
import { answered } from '../answers';

export const dynamic = 'force-dynamic';

/** Whether server and database answer. */
export const GET = () =>
  answered(async () => {
    const { machines } = await currentShop();
    return NextResponse.json({ ready: true, machines: machines.length });
  });
