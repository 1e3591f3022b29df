import type { Material } from '../model/shop/material';
import { dayAfter } from './days';
import type { ToBuy } from '../rack/buying';

/** What is to be bought, from whom and by when. Days as 2026-12-04. */
export interface ToOrder extends ToBuy {
  /** Empty where the material names none. */
  supplier: string;
  /** The first day on which one of its runs is begun; nothing where no run of it has a day. */
  wanted: string | undefined;
  /** The last day on which an order still brings it by then; nothing where it is not known how long that takes. */
  orderBy: string | undefined;
}

/** Later than any day, for what has none. */
const NO_DAY = '9999';

/**
 * What is short by whom it is bought from and by when it must be ordered, the soonest of each first.
 * @param startOf the day on which a run is begun, by its id
 */
export const toOrder = (
  buying: readonly ToBuy[],
  materials: readonly Pick<Material, 'id' | 'supplier' | 'deliveryDays'>[],
  startOf: (run: number) => string | undefined,
): ToOrder[] =>
  buying
    .map((one): ToOrder => {
      const material = materials.find(({ id }) => id === one.section.material);
      const wanted = one.runs.flatMap((run) => startOf(run) ?? []).sort()[0];
      const days = material?.deliveryDays;
      return {
        ...one,
        supplier: material?.supplier ?? '',
        wanted,
        orderBy: wanted === undefined || days === undefined ? undefined : dayAfter(wanted, -days),
      };
    })
    .sort(
      (a, b) =>
        a.supplier.localeCompare(b.supplier) ||
        (a.orderBy ?? NO_DAY).localeCompare(b.orderBy ?? NO_DAY) ||
        (a.wanted ?? NO_DAY).localeCompare(b.wanted ?? NO_DAY),
    );
