import { NextResponse } from 'next/server';
import { readPasscode } from '@/core/formats/deviceFile';
import { setPasscode } from '@/server/sessionRepository';
import { answered, readJson, refused } from '../answers';

/** Sets the passcode of the shop, on the machine itself alone; whoever is signed in signs in anew. */
export const PUT = (request: Request) =>
  answered(async () => {
    if (request.headers.get('x-shingle-door') === 'network')
      return refused([{ path: '', message: 'the passcode is set on the machine that Shingle runs on' }], 403);
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const passcode = readPasscode(body.value);
    if (!passcode.ok) return refused(passcode.problems);
    await setPasscode(passcode.value);
    return NextResponse.json({});
  });
