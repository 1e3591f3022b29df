import { database } from './database';
import { digestOf, hashPasscode, isPasscode, newSecret } from './secrets';

/** How long a session lasts, days: a device that is used each week signs in again now and then. */
export const SESSION_DAYS = 14;
const DAY_MS = 24 * 60 * 60 * 1000;

/** Sets the passcode of the shop; whoever came in with the one before must sign in again. */
export async function setPasscode(passcode: string): Promise<void> {
  const hash = await hashPasscode(passcode);
  await database().transaction(async (knex) => {
    await knex('passcodes').delete();
    await knex('passcodes').insert({ hash, set_at: new Date() });
    await knex('sessions').delete();
  });
}

const keptHash = async (): Promise<string | undefined> =>
  (await database()('passcodes').orderBy('id', 'desc').first<{ hash: string } | undefined>('hash'))?.hash;

/** Whether a passcode is set, without which nothing listens beyond loopback. */
export const hasPasscode = async (): Promise<boolean> => (await keptHash()) !== undefined;

/** Opens a session for a device that knows the passcode; returns its secret, which the device keeps. */
export async function openSession(passcode: string, device: string): Promise<string | undefined> {
  const hash = await keptHash();
  if (hash === undefined || !(await isPasscode(passcode, hash))) return undefined;
  const secret = newSecret();
  const now = Date.now();
  await database()('sessions').where('ends_at', '<', new Date(now)).delete();
  await database()('sessions').insert({
    digest: digestOf(secret),
    device,
    opened_at: new Date(now),
    ends_at: new Date(now + SESSION_DAYS * DAY_MS),
  });
  return secret;
}

/** The device of a session that is still open. */
export async function deviceOfSession(secret: string): Promise<string | undefined> {
  const row = await database()('sessions')
    .where({ digest: digestOf(secret) })
    .where('ends_at', '>', new Date())
    .first<{ device: string } | undefined>('device');
  return row?.device;
}

/** Ends a session. */
export async function closeSession(secret: string): Promise<void> {
  await database()('sessions')
    .where({ digest: digestOf(secret) })
    .delete();
}

/** A device that is signed in. */
export interface OpenSession {
  device: string;
  openedAt: string;
  endsAt: string;
}

/** Devices that are signed in, the newest first. */
export async function listSessions(): Promise<OpenSession[]> {
  const rows = await database()('sessions')
    .where('ends_at', '>', new Date())
    .orderBy('opened_at', 'desc')
    .select<{ device: string; opened_at: Date; ends_at: Date }[]>('device', 'opened_at', 'ends_at');
  return rows.map(({ device, opened_at, ends_at }) => ({
    device,
    openedAt: opened_at.toISOString(),
    endsAt: ends_at.toISOString(),
  }));
}

/** Signs every device out. */
export const closeAllSessions = async (): Promise<void> => {
  await database()('sessions').delete();
};
