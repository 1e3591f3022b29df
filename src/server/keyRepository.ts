import { database } from './database';
import { digestOf, newSecret } from './secrets';

/** A key of a device or a script, as the shop sees it: the key itself is shown once, when it is made. */
export interface DeviceKey {
  id: number;
  name: string;
  madeAt: string;
  usedAt: string | undefined;
}

/** Keys that hold, the newest first. */
export async function listKeys(): Promise<DeviceKey[]> {
  const rows = await database()('device_keys')
    .whereNull('taken_back_at')
    .orderBy('id', 'desc')
    .select<{ id: number; name: string; made_at: Date; used_at: Date | null }[]>('id', 'name', 'made_at', 'used_at');
  return rows.map(({ id, name, made_at, used_at }) => ({
    id,
    name,
    madeAt: made_at.toISOString(),
    usedAt: used_at?.toISOString(),
  }));
}

/** Makes a key for a device; returns the key, which is kept nowhere. */
export async function makeKey(name: string): Promise<string> {
  const key = newSecret();
  await database()('device_keys').insert({ name, digest: digestOf(key), made_at: new Date() });
  return key;
}

/** Takes a key back: from now on it opens nothing. Says whether there was one. */
export const takeBackKey = async (id: number): Promise<boolean> =>
  (await database()('device_keys').where({ id }).whereNull('taken_back_at').update({ taken_back_at: new Date() })) > 0;

/** The name of the device that a key was made for; undefined for a key that does not hold. */
export async function deviceOfKey(key: string): Promise<string | undefined> {
  const digest = digestOf(key);
  const row = await database()('device_keys')
    .where({ digest })
    .whereNull('taken_back_at')
    .first<{ name: string } | undefined>('name');
  if (row) await database()('device_keys').where({ digest }).update({ used_at: new Date() });
  return row?.name;
}
