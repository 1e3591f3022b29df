import { NextResponse, type NextRequest } from 'next/server';
import { closeSession } from '@/server/sessionRepository';
import { answered } from '../answers';

/** Ends the session of the device that asks. */
export const POST = (request: NextRequest) =>
  answered(async () => {
    const session = request.cookies.get('shingle-session')?.value;
    if (session !== undefined) await closeSession(session);
    const answer = NextResponse.json({});
    answer.cookies.delete('shingle-session');
    return answer;
  });
