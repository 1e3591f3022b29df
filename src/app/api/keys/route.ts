import { NextResponse } from 'next/server';
import { readDeviceName } from '@/core/formats/deviceFile';
import { listKeys, makeKey } from '@/server/keyRepository';
import { hasPasscode, listSessions } from '@/server/sessionRepository';
import { answered, readJson, refused } from '../answers';

export const dynamic = 'force-dynamic';

/** Who may come in: keys that hold, devices that are signed in, and whether a passcode is set. */
export const GET = () =>
  answered(async () => {
    const [keys, sessions, passcode] = await Promise.all([listKeys(), listSessions(), hasPasscode()]);
    return NextResponse.json({ keys, sessions, passcode });
  });

/** Makes a key; it is in this answer and nowhere else. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const name = readDeviceName(body.value);
    if (!name.ok) return refused(name.problems);
    return NextResponse.json({ key: await makeKey(name.value) }, { status: 201 });
  });
