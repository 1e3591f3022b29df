import { NextResponse } from 'next/server';
import { MOST_BYTES, readAttached } from '@/core/formats/attachedFile';
import { attach, attachedTo } from '@/server/attachments';
import { answered, deviceIn, idIn, noSuchRun, readJson, refused } from '../../../answers';

type Context = { params: Promise<{ id: string }> };

/** What is kept with the part of a run. */
export const GET = (_: Request, { params }: Context) =>
  answered(async () => {
    const id = idIn(await params);
    const attached = id === undefined ? undefined : await attachedTo(id);
    return attached ? NextResponse.json({ attached }) : noSuchRun();
  });

/** Keeps a drawing or a photo with the part of a run: `{ name, content }`, its content base64. */
export const POST = (request: Request, { params }: Context) =>
  answered(async () => {
    // Base64 has four signs for three bytes.
    const body = await readJson(request, (MOST_BYTES / 3) * 4 + 10_000);
    if (!body.ok) return refused(body.problems, 400);
    const read = readAttached(body.value);
    if (!read.ok) return refused(read.problems);
    const id = idIn(await params);
    const attached = id === undefined ? undefined : await attach(id, read.value, deviceIn(request));
    return attached ? NextResponse.json({ attached }, { status: 201 }) : noSuchRun();
  });
