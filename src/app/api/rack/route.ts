import { NextResponse } from 'next/server';
import { readReceipt } from '@/core/formats/rackFile';
import { listRack, rackHistory, receive } from '@/server/rackRepository';
import { materialIds } from '@/server/shopRepository';
import { answered, readJson, refused } from '../answers';

/** The rack as it is, and what happened to it last. */
export const GET = () =>
  answered(async () => {
    const [items, history] = await Promise.all([listRack(), rackHistory()]);
    return NextResponse.json({ items, history });
  });

/** Bars that came in. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const receipt = readReceipt(body.value, await materialIds());
    if (!receipt.ok) return refused(receipt.problems);
    return NextResponse.json({ ids: await receive(receipt.value) }, { status: 201 });
  });
