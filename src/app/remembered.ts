import type { OnHand, Shop } from '@/core/shop/shop';
import type { SavedRun } from '@/server/runRepository';

/** A revision of the shop, which never changes, and its number. */
export interface NumberedShop {
  revision: number;
  shop: Shop;
}

type Make<T> = (run: SavedRun, shop: NumberedShop, rack: OnHand[]) => T;

/** What is kept, by the number of the run: what it was made from, and what was made. */
export type Kept<T> = Map<number, { from: string; value: T }>;

/**
 * Keeps what was made of each run as long as everything it was made from is the same: its revision, that of the shop,
 * and what the rack has for it. So only those that changed are planned again.
 */
export const remembered =
  <T>(make: Make<T>, kept: Kept<T> = new Map()): Make<T> =>
  (run, shop, rack) => {
    const from = JSON.stringify([run.revision, shop.revision, rack]);
    const known = kept.get(run.id);
    if (known?.from === from) return known.value;
    const value = make(run, shop, rack);
    kept.set(run.id, { from, value });
    return value;
  };
