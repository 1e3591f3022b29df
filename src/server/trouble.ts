import { randomInt } from 'node:crypto';

/**
 * What went wrong behind a request, as the page needs to know it:
 * - `gone`: the database does not answer, or the line to it broke;
 * - `busy`: it answers, but too many ask at once, or two wait for each other;
 * - `full`: it has no room left;
 * - `bug`: anything else is a fault of ours, logged with its stack under a number.
 */
export type Trouble = { kind: 'gone' | 'busy' | 'full' } | { kind: 'bug'; number: string };

const GONE = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ECONNABORTED',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  'EAI_AGAIN',
  'EHOSTUNREACH',
  'ENETUNREACH',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'ER_SERVER_SHUTDOWN',
  'ER_NORMAL_SHUTDOWN',
  'ER_CONNECTION_KILLED',
  'ER_QUERY_INTERRUPTED',
  'HANDSHAKE_NO_SSL_SUPPORT',
]);
const BUSY = new Set([
  'ER_CON_COUNT_ERROR',
  'ER_TOO_MANY_USER_CONNECTIONS',
  'ER_LOCK_DEADLOCK',
  'ER_LOCK_WAIT_TIMEOUT',
  'ER_CHECKREAD',
]);
const FULL = new Set(['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ENOSPC']);

/** Says of an error which of the troubles it is; nothing is logged. */
export function kindOfTrouble(error: unknown): Trouble['kind'] {
  if (!(error instanceof Error)) return 'bug';
  const { code = '', errno, fatal } = error as Error & { code?: string; errno?: number; fatal?: boolean };
  if (FULL.has(code) || errno === 28) return 'full';
  if (BUSY.has(code)) return 'busy';
  if (GONE.has(code)) return 'gone';
  if (error.name === 'KnexTimeoutError') return /acquir/i.test(error.message) ? 'busy' : 'gone';
  if (fatal === true || /closed state|connection (is )?lost/i.test(error.message)) return 'gone';
  return 'bug';
}

/** The same line is not said again within this time, ms: a database that is away is asked for many times. */
const QUIET_MS = 5000;
let said = { line: '', at: 0 };

function sayOnce(line: string): void {
  const now = Date.now();
  if (line === said.line && now - said.at < QUIET_MS) return;
  said = { line, at: now };
  console.error(line);
}

/** Short enough to be read out over the telephone. */
const newNumber = () => `${randomInt(100, 1000)}-${randomInt(100, 1000)}`;

/**
 * The trouble behind an error. A bug is logged with its stack, under the number that the page shows; of the others one
 * line is enough.
 */
export function troubleOf(error: unknown): Trouble {
  const kind = kindOfTrouble(error);
  if (kind !== 'bug') {
    sayOnce(`trouble (${kind}): ${(error as Error).message.slice(0, 200)}`);
    return { kind };
  }
  const number = newNumber();
  console.error(`bug ${number}:`, error);
  return { kind, number };
}

/** The same as a short text, which is all that an error of a page carries to the browser. */
export const troubleDigest = (trouble: Trouble): string =>
  trouble.kind === 'bug' ? `bug ${trouble.number}` : trouble.kind;
