import { isDeepStrictEqual } from 'node:util';
import { readShop } from '@/core/read/readShop';
import type { Shop } from '@/core/model/shop/shop';
import { completeShop } from '@/core/model/shop/completeShop';
import { startValues } from '@/core/model/shop/startValues';
import type { Knex } from 'knex';
import { database, inTransaction } from './database';
import { wantAnew } from './runList';

/**
 * The shop as it was read last. A revision never changes, so it is read once; the same one is the same object. Its time
 * goes with its number: a database that was restored may have another revision of that number.
 */
let last: { revision: number; savedAt: number; shop: Shop } | undefined;

/** So many earlier revisions are held at once. */
const EARLIER = 20;

/** The shop as it now is: its newest revision. */
export const currentShop = async (): Promise<Shop> => (await currentRevision()).shop;

/** Ids of the materials that the shop knows. */
export const materialIds = async (): Promise<string[]> => (await currentShop()).materials.map(({ id }) => id);

/** The newest revision of the shop, with its number. */
export async function currentRevision(): Promise<{ revision: number; shop: Shop }> {
  const newest = await database()('shop_revisions')
    .orderBy('revision', 'desc')
    .first<{ revision: number; saved_at: Date } | undefined>('revision', 'saved_at');
  if (!newest) throw new Error('the database holds no shop: run npm start, which seeds it');
  const { revision, saved_at } = newest;
  if (last?.revision !== revision || last.savedAt !== saved_at.getTime())
    last = { revision, savedAt: saved_at.getTime(), shop: await readRevision(revision) };
  return last;
}

/** Earlier revisions that were asked for: few, and each for long. A revision never changes; one restored has another time. */
const earlier = new Map<string, Shop>();

/** The shop as it was at a revision of it. */
export async function shopAt(revision: number): Promise<Shop> {
  const newest = await currentRevision();
  if (newest.revision === revision) return newest.shop;
  const { saved_at } = await database()('shop_revisions').where({ revision }).first<{ saved_at: Date }>('saved_at');
  const key = `${revision} ${saved_at.getTime()}`;
  const shop = earlier.get(key) ?? (await readRevision(revision));
  if (earlier.size >= EARLIER) earlier.clear();
  earlier.set(key, shop);
  return shop;
}

async function readRevision(revision: number): Promise<Shop> {
  const row = await database()('shop_revisions').where({ revision }).first<{ document: string }>('document');
  // An earlier one may have been kept before some figures were known.
  const shop = readShop(completeShop(JSON.parse(row.document)));
  if (!shop.ok)
    throw new Error(
      `the shop in the database is damaged: ${shop.problems.map(({ path, message }) => `${path} ${message}`).join('; ')}`,
    );
  return shop.value;
}

const keep = (knex: Knex, revision: number, document: unknown) =>
  knex('shop_revisions').insert({ revision, document: JSON.stringify(document), saved_at: new Date() });

/**
 * Appends a revision of the shop, when the newest is still the one that the edit started from.
 * @returns its number; of two at once one wins, the other gets the conflict
 */
export async function saveShop(base: number, shop: Shop): Promise<number | 'conflict'> {
  const { revision } = await currentRevision();
  if (revision !== base) return 'conflict';
  try {
    await inTransaction(async (knex) => {
      await keep(knex, base + 1, shop);
      await wantAnew(knex);
    });
  } catch (error) {
    if ((error as { code?: string }).code === 'ER_DUP_ENTRY') return 'conflict';
    throw error;
  }
  return base + 1;
}

/**
 * Gives an empty database the start values, and a shop kept by an earlier version the values that came later, as a
 * further revision.
 * @returns what was done, in words; undefined when nothing was to do
 */
export async function seedShop(): Promise<string | undefined> {
  const newest = await database()('shop_revisions')
    .orderBy('revision', 'desc')
    .first<{ revision: number; document: string } | undefined>('revision', 'document');
  if (!newest) {
    await keep(database(), 1, startValues);
    return 'start values';
  }
  const kept = JSON.parse(newest.document) as unknown;
  const complete: unknown = JSON.parse(JSON.stringify(completeShop(kept)));
  if (!readShop(complete).ok || isDeepStrictEqual(kept, complete)) return undefined;
  await keep(database(), newest.revision + 1, complete);
  return 'the shop completed with later start values';
}
