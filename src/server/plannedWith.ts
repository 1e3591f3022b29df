import type { Knex } from 'knex';
import { onHandFor, type RackItem } from '@/core/rack/rack';
import type { OnHand, Shop } from '@/core/model/shop/shop';
import { database } from './database';
import { listRack } from './rackRepository';
import { wantRun } from './runList';
import { currentRevision, shopAt } from './shopRepository';

/** What a run is planned with. */
export interface PlannedWith {
  shop: Shop;
  shopRevision: number;
  rack: OnHand[];
  /** When it was begun, where it keeps what it was begun with. */
  begunAt?: Date;
}

interface Row {
  run_id: number;
  shop_revision: number;
  rack: string;
  at: Date;
}

/**
 * What runs are planned with: the shop and the rack as they are; but a run at which something happened keeps those of then, or its
 * stops and speeds would be others in the middle of the batch.
 */
export async function plannedWith(runs: readonly number[]): Promise<(run: number) => PlannedWith> {
  const [now, items, rows] = await Promise.all([
    currentRevision(),
    listRack(),
    database()<Row>('begun_with')
      .whereIn('run_id', [...runs])
      .select(),
  ]);
  const begun = new Map<number, PlannedWith>();
  for (const { run_id, shop_revision, rack, at } of rows as Row[])
    begun.set(run_id, {
      shop: await shopAt(shop_revision),
      shopRevision: shop_revision,
      rack: JSON.parse(rack) as OnHand[],
      begunAt: at,
    });
  return (run) => begun.get(run) ?? { shop: now.shop, shopRevision: now.revision, rack: onHandFor(items, run) };
}

/** Ids of the runs that keep what they were begun with. */
export const begunRuns = async (): Promise<Set<number>> =>
  new Set((await database()('begun_with').select<{ run_id: number }[]>('run_id')).map(({ run_id }) => run_id));

const rowFor = (run: number, shop: number, items: readonly RackItem[]) => ({
  run_id: run,
  shop_revision: shop,
  rack: JSON.stringify(onHandFor(items, run)),
  at: new Date(),
});

/** Keeps what a run is begun with, once. @param shop revision of the shop that the device worked by, where it says so */
export async function keepBegunWith(knex: Knex, run: number, shop: number | undefined): Promise<void> {
  if (await knex('begun_with').where({ run_id: run }).first('run_id')) return;
  const revisions = knex('shop_revisions').max<{ revision: number | null }[]>({ revision: 'revision' });
  const [newest] = await (shop === undefined ? revisions : revisions.where('revision', '<=', shop));
  if (newest?.revision == null) return;
  await knex('begun_with')
    .insert(rowFor(run, newest.revision, await listRack(knex)))
    .onConflict('run_id')
    .ignore();
  await wantRun(knex, run);
}

/** Has a begun run planned with the shop and the rack as they are now. @returns whether it was begun at all */
export async function planAnew(run: number): Promise<boolean> {
  const [{ revision }, items] = await Promise.all([currentRevision(), listRack()]);
  const { run_id, ...now } = rowFor(run, revision, items);
  const changed = await database()('begun_with').where({ run_id }).update(now);
  if (changed > 0) await wantRun(database(), run);
  return changed > 0;
}
