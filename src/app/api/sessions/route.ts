import { NextResponse } from 'next/server';
import { closeAllSessions } from '@/server/sessionRepository';
import { answered } from '../answers';

/** Signs every device out that came in over the network. */
export const DELETE = () =>
  answered(async () => {
    await closeAllSessions();
    return NextResponse.json({});
  });
