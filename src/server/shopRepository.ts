import { readShop } from '@/core/formats/readShop';
import type { Shop } from '@/core/shop/shop';
import { startValues } from '@/core/shop/startValues';
import { database } from './database';

/** The shop as it now is: its newest revision. */
export async function currentShop(): Promise<Shop> {
  const row = await database()('shop_revisions')
    .orderBy('revision', 'desc')
    .first<{ document: string } | undefined>('document');
  if (!row) throw new Error('the database holds no shop: run npm start, which seeds it');
  const shop = readShop(JSON.parse(row.document));
  if (!shop.ok)
    throw new Error(
      `the shop in the database is damaged: ${shop.problems.map(({ path, message }) => `${path} ${message}`).join('; ')}`,
    );
  return shop.value;
}

/** Gives an empty database the start values. */
export async function seedShop(): Promise<boolean> {
  const present = await database()('shop_revisions').first('revision');
  if (present) return false;
  await database()('shop_revisions').insert({
    revision: 1,
    document: JSON.stringify(startValues),
    saved_at: new Date(),
  });
  return true;
}
