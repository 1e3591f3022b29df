/** Where a request came in: on loopback, or over the shop's network, where it speaks TLS and asks who comes. */
export type Door = 'loopback' | 'network';

/** What is looked at of a request before anything is done for it. */
export interface Knock {
  door: Door;
  method: string;
  path: string;
  host: string | null;
  origin: string | null;
  /** `Sec-Fetch-Site`: what a browser says of who asks. */
  site: string | null;
  contentType: string | null;
  authorization: string | null;
}

/** How a knock is answered: let in, let in with a key that holds, or not, with the reason. */
export type Verdict =
  { kind: 'in' } | { kind: 'with-key'; key: string } | { kind: 'out'; status: number; words: string };

const out = (status: number, words: string): Verdict => ({ kind: 'out', status, words });

/** Names under which this machine is always itself. */
const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** The name in a Host header, without its port. */
const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** What only looks; everything else changes something. */
const LOOKS = ['GET', 'HEAD'];

const BEARER = /^Bearer\s+(\S{8,200})$/i;

const isJson = (type: string | null): boolean => /^application\/json\s*(;|$)/i.test(type ?? '');

/**
 * Whether a request may come in, as far as it says itself:
 * - the name that it asks for is one of ours: another means that somebody's page has had our address put under its name;
 * - what changes something comes from a page of ours and is JSON, which no page of others can send without asking;
 * - where nothing says from which page (a script, a device), it brings a key of the shop.
 * @param hosts names beside those of loopback
 */
export function answerKnock(knock: Knock, hosts: readonly string[]): Verdict {
  const { door, method, path, host, origin, site, contentType, authorization } = knock;
  const known = [...LOOPBACK, ...hosts];
  if (host === null || !known.includes(nameOf(host)))
    return out(
      421,
      `this is not the address of this Shingle; it is reached as ${known.join(', ')}. Another name is allowed with SHINGLE_HOSTS`,
    );
  const key = BEARER.exec(authorization ?? '')?.[1];
  const letIn: Verdict = key === undefined ? { kind: 'in' } : { kind: 'with-key', key };
  if (LOOKS.includes(method)) return letIn;
  if (path.startsWith('/api/') && method !== 'DELETE' && !isJson(contentType))
    return out(415, `what is sent must be application/json, not ${contentType ?? 'without a type'}`);
  const ours = `${door === 'network' ? 'https' : 'http'}://${host.toLowerCase()}`;
  const foreign = (site !== null && site !== 'same-origin') || (origin !== null && origin.toLowerCase() !== ours);
  if (foreign) return out(403, 'only pages of this Shingle may change something here');
  if (site === null && origin === null && key === undefined)
    return out(
      401,
      'what comes from no page needs a key of the shop: make one under Devices, and send it as “Authorization: Bearer …”',
    );
  return letIn;
}
