import { NextResponse } from 'next/server';
import { readRackAction } from '@/core/formats/rackFile';
import { act } from '@/server/rackRepository';
import { answered, readJson, refused } from '../../answers';

/** Reserves of a bar, releases it, uses it up, or brings it back. What another did meanwhile is answered with 409 and in words. */
export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answered(async () => {
    const { id } = await params;
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const action = readRackAction(body.value);
    if (!action.ok) return refused(action.problems);
    if (!/^\d{1,9}$/.test(id)) return refused([{ path: '', message: 'there is no such bar' }], 404);
    const done = await act(Number(id), action.value);
    return done.ok ? NextResponse.json({}) : refused(done.problems, 409);
  });
