import { randomBytes } from 'node:crypto';
import { NextResponse, type NextRequest } from 'next/server';
import { answerKnock, type Door } from '@/server/door';
import { deviceOfKey } from '@/server/keyRepository';
import { deviceOfSession } from '@/server/sessionRepository';
import { troubleOf } from '@/server/trouble';

export const config = {
  // What the build made is for everybody: script, style and typeface, and nothing of the shop's.
  matcher: ['/((?!_next/static/|icon.svg).*)'],
};

/** Names beside those of loopback under which this Shingle is reached. */
const hosts = (process.env.SHINGLE_HOSTS ?? '')
  .split(',')
  .map((name) => name.trim().toLowerCase())
  .filter(Boolean);

/** What is open to a device that is not signed in. */
const OPEN = ['/sign-in', '/api/sign-in', '/api/alive'];

/** What a calendar program asks for, which can say no more than an address: its key stands in that. */
const CALENDAR = '/api/days/calendar';

/** Scripts and styles of our own pages alone, each marked with a number that is used once; no page of others around it. */
const policy = (nonce: string): string =>
  [
    `default-src 'self'`,
    // The solver of the cut list is WebAssembly.
    `script-src 'self' 'nonce-${nonce}' 'wasm-unsafe-eval'`,
    `style-src 'self' 'nonce-${nonce}'`,
    // Places and sizes that are worked out stand in style attributes, which hold no address and run nothing.
    `style-src-attr 'unsafe-inline'`,
    `img-src 'self' data: blob:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `worker-src 'self' blob:`,
    `object-src 'none'`,
    `base-uri 'none'`,
    `form-action 'self'`,
    `frame-ancestors 'none'`,
  ].join('; ');

const refused = (status: number, message: string, kind?: string) =>
  NextResponse.json({ problems: [{ path: '', message }], ...(kind ? { trouble: { kind } } : {}) }, { status });

/** Who comes over the network: the device of its session or of its key. */
async function deviceOf(request: NextRequest, key: string | undefined): Promise<string | undefined> {
  if (key !== undefined) return deviceOfKey(key);
  const session = request.cookies.get('shingle-session')?.value;
  return session === undefined ? undefined : deviceOfSession(session);
}

/** Sends whoever is not signed in to where that is done, and afterwards back. */
function toSignIn(request: NextRequest, path: string): NextResponse {
  if (path.startsWith('/api/')) return refused(401, 'this device is not signed in; open the board and sign in');
  const address = new URL('/sign-in', `https://${request.headers.get('host')}`);
  if (path !== '/') address.searchParams.set('to', path);
  return NextResponse.redirect(address, 303);
}

/** The door of the application: who may come in, and what a browser may do with our pages. */
export async function proxy(request: NextRequest): Promise<NextResponse> {
  const { headers, method, nextUrl } = request;
  const path = nextUrl.pathname;
  const door: Door = headers.get('x-shingle-door') === 'network' ? 'network' : 'loopback';
  const verdict = answerKnock(
    {
      door,
      method,
      path,
      host: headers.get('host'),
      origin: headers.get('origin'),
      site: headers.get('sec-fetch-site'),
      contentType: headers.get('content-type'),
      authorization: headers.get('authorization'),
    },
    hosts,
  );
  if (verdict.kind === 'out') return refused(verdict.status, verdict.words);
  let device: string | undefined;
  try {
    const inAddress = path === CALENDAR && method === 'GET' ? nextUrl.searchParams.get('key') : null;
    const key = verdict.kind === 'with-key' ? verdict.key : (inAddress ?? undefined);
    if (key !== undefined || door === 'network') device = await deviceOf(request, key);
    if (key !== undefined && device === undefined)
      return refused(401, 'this key is not one of the shop, or was taken back');
    if (door === 'network' && device === undefined && !OPEN.includes(path)) return toSignIn(request, path);
  } catch (error) {
    return refused(
      503,
      'the database does not answer; nothing was changed. Try again in a moment.',
      troubleOf(error).kind,
    );
  }
  return dressed(request, door, device);
}

/** Lets a request in: what the pages need to know goes with it, what the browser must hold to with the answer. */
function dressed(request: NextRequest, door: Door, device: string | undefined): NextResponse {
  const nonce = randomBytes(16).toString('base64');
  const headers = new Headers(request.headers);
  headers.set('content-security-policy', policy(nonce));
  headers.set('x-shingle-nonce', nonce);
  headers.set('x-shingle-door', door);
  headers.delete('x-shingle-device');
  if (device !== undefined) headers.set('x-shingle-device', encodeURIComponent(device));
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy(nonce));
  response.headers.set('cache-control', 'no-store');
  return response;
}
