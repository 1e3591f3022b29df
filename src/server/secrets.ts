import { createHash, randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';

/** A new secret that nobody guesses, as text that is easily copied. */
export const newSecret = (): string => randomBytes(24).toString('base64url');

/** What is kept of a long random secret: it proves it and does not give it away. */
export const digestOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** Work that one guess at a passcode costs: 32 MB and some tenths of a second. */
const WORK = { N: 32_768, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } satisfies ScryptOptions;
const LENGTH = 32;

const derive = (passcode: string, salt: Buffer, work: ScryptOptions): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    scrypt(passcode.normalize('NFC'), salt, LENGTH, work, (error, key) => (error ? reject(error) : resolve(key))),
  );

/** A passcode as it is kept: salted, and slow to try (scrypt). */
export async function hashPasscode(passcode: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(passcode, salt, WORK);
  return ['scrypt', WORK.N, WORK.r, WORK.p, salt.toString('base64url'), key.toString('base64url')].join('$');
}

/** Whether a passcode is the one that was hashed. */
export async function isPasscode(passcode: string, hash: string): Promise<boolean> {
  const [kind, N, r, p, salt = '', kept = ''] = hash.split('$');
  if (kind !== 'scrypt') return false;
  const work = { N: Number(N), r: Number(r), p: Number(p), maxmem: WORK.maxmem };
  const key = await derive(passcode, Buffer.from(salt, 'base64url'), work);
  const wanted = Buffer.from(kept, 'base64url');
  return wanted.length === key.length && timingSafeEqual(key, wanted);
}
