import { NextResponse } from 'next/server';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { readSignIn } from '@/core/formats/deviceFile';
import { openSession, SESSION_DAYS } from '@/server/sessionRepository';
import { answered, readJson, refused } from '../answers';

/** Wrong passcodes that one address, and all together, may try in a quarter of an hour. */
const QUARTER = 15 * 60;
const byAddress = new RateLimiterMemory({ keyPrefix: 'address', points: 5, duration: QUARTER });
const together = new RateLimiterMemory({ keyPrefix: 'all', points: 40, duration: QUARTER });

const minutes = (milliseconds: number) => Math.max(1, Math.ceil(milliseconds / 60_000));

/** Counts a try; says how long to wait when there were too many. */
async function counted(address: string): Promise<number | undefined> {
  try {
    await Promise.all([byAddress.consume(address), together.consume('all')]);
    return undefined;
  } catch (limit) {
    if (!(limit instanceof RateLimiterRes)) throw limit;
    return limit.msBeforeNext;
  }
}

/** Lets a device in that knows the passcode. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const asked = readSignIn(body.value);
    if (!asked.ok) return refused(asked.problems);
    const address = request.headers.get('x-shingle-from') ?? '';
    const wait = await counted(address);
    if (wait !== undefined)
      return refused(
        [{ path: 'passcode', message: `was tried too often; the next try counts in ${minutes(wait)} min` }],
        429,
      );
    const session = await openSession(asked.value.passcode, asked.value.device);
    if (session === undefined) return refused([{ path: 'passcode', message: 'is not the passcode of this shop' }], 403);
    await byAddress.delete(address);
    const answer = NextResponse.json({});
    answer.cookies.set('shingle-session', session, {
      httpOnly: true,
      sameSite: 'strict',
      secure: true,
      path: '/',
      maxAge: SESSION_DAYS * 24 * 60 * 60,
    });
    return answer;
  });
