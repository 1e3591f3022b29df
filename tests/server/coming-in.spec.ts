import { expect, test } from '@playwright/test';
import { closeDatabase, database } from '../../src/server/database';
import { deviceOfKey, listKeys, makeKey, takeBackKey } from '../../src/server/keyRepository';
import { digestOf } from '../../src/server/secrets';
import { closeSession, deviceOfSession, listSessions } from '../../src/server/sessionRepository';

test.afterAll(closeDatabase);

const MINUTE = 60_000;

/** A session as it would be kept, that ends so many minutes from now. */
async function session(secret: string, device: string, minutes: number): Promise<void> {
  const now = Date.now();
  await database()('sessions').insert({
    digest: digestOf(secret),
    device,
    opened_at: new Date(now - 2 * MINUTE),
    ends_at: new Date(now + minutes * MINUTE),
  });
}

test('a session opens the door until it ends by itself or is closed, and then no more', async () => {
  await session('still-open', 'lathe 7', 5);
  await session('over', 'lathe 8', -1);
  expect(await deviceOfSession('still-open')).toBe('lathe 7');
  expect(await deviceOfSession('over')).toBeUndefined();
  expect((await listSessions()).map(({ device }) => device)).not.toContain('lathe 8');
  await closeSession('still-open');
  expect(await deviceOfSession('still-open')).toBeUndefined();
});

test('a key is known by its digest alone; taken back it is nobody’s', async () => {
  const key = await makeKey('read-out');
  const row = await database()('device_keys').where({ name: 'read-out' }).first();
  expect(JSON.stringify(row)).not.toContain(key);
  expect(await deviceOfKey(key)).toBe('read-out');
  const { id } = (await listKeys()).find(({ name }) => name === 'read-out') ?? { id: 0 };
  expect(await takeBackKey(id)).toBe(true);
  expect(await takeBackKey(id)).toBe(false);
  expect(await deviceOfKey(key)).toBeUndefined();
});
