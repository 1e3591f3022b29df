import { NextResponse } from 'next/server';
import { readEvents } from '@/core/formats/eventsFile';
import { eventsText, keepEvents } from '@/server/latheEvents';
import { answered, idIn, noSuchRun, readJson, refused } from '../../../answers';

type Context = { params: Promise<{ id: string }> };

/** What happened in a run behind a place of the order: `?after=120`. */
export const GET = (request: Request, { params }: Context) =>
  answered(async () => {
    const id = idIn(await params);
    const after = Number(new URL(request.url).searchParams.get('after') ?? 0);
    if (!Number.isInteger(after) || after < 0)
      return refused([{ path: 'after', message: 'must be a place in the order, a whole number' }], 400);
    if (id === undefined) return noSuchRun();
    return new NextResponse(`{"events":${await eventsText(id, after)}}`, {
      headers: { 'content-type': 'application/json' },
    });
  });

/** Keeps what a device saw happen; sent again it is kept once. Answers where each stands in the order. */
export const POST = (request: Request, { params }: Context) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const read = readEvents(body.value);
    if (!read.ok) return refused(read.problems);
    const id = idIn(await params);
    const order = id === undefined ? undefined : await keepEvents(id, read.value.events);
    return order ? NextResponse.json({ order: Object.fromEntries(order) }) : noSuchRun();
  });
