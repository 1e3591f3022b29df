import type { OnHand, Shop } from '@/core/shop/shop';
import type { SavedRun } from '@/server/runRepository';

type Make<T> = (run: SavedRun, shop: Shop, rack: OnHand[]) => T;

/**
 * Keeps what was made of each run as long as everything it was made from is the same: its revision, the shop, and what
 * the rack has for it. So a board of many runs plans only those that changed.
 */
export function remembered<T>(make: Make<T>): Make<T> {
  const kept = new Map<number, { revision: number; shop: Shop; rack: string; value: T }>();
  return (run, shop, rack) => {
    const known = kept.get(run.id);
    const text = JSON.stringify(rack);
    if (known && known.revision === run.revision && known.shop === shop && known.rack === text) return known.value;
    const value = make(run, shop, rack);
    kept.set(run.id, { revision: run.revision, shop, rack: text, value });
    return value;
  };
}
