import { planFile } from '@/core/plan';
import { onHandFor, type RackItem, type Section } from '@/core/rack/rack';
import type { Shop } from '@/core/shop/shop';
import type { Turned } from '@/core/saw/cutList';
import { lengthTaken } from '@/core/stock/cost';
import { lostInTheLathe } from '@/core/stock/stock';
import type { SavedRun } from '@/server/runRepository';
import { remembered } from '../remembered';

/** What a run needs of the rack: its section, how long in all, and its pieces. */
export interface StockNeed {
  run: number;
  number: string;
  name: string;
  section: Section;
  /** Length of bar in all, mm. */
  length: number;
  /** A blank, or what a piece takes of the bar, mm; and how many. */
  each: number;
  count: number;
  turned?: Turned;
  sold: boolean;
  barLength: number;
  kerf: number;
}

const needOf = remembered(({ id, file }, shop, rack): StockNeed | undefined => {
  const plan = planFile(file, { ...shop, rack });
  if (!plan.ok) return undefined;
  const { stock, run, way } = plan.value;
  const { form, size, bore, condition, barLength, each, toMake, kerf, longest, rackOnly = false } = stock;
  return {
    run: id,
    number: file.part.number,
    name: file.part.name ?? '',
    section: { material: run.shop.material.id, form, size, bore, condition },
    length: lengthTaken(stock),
    ...(way === 'from-bar' && { turned: { lost: lostInTheLathe(stock), longest } }),
    each: each.value,
    count: toMake.value,
    sold: !rackOnly,
    barLength,
    kerf,
  };
});

/** What the runs that have a plan need of the rack. */
export const stockNeeds = (runs: readonly SavedRun[], shop: Shop, items: readonly RackItem[]): StockNeed[] =>
  runs.flatMap((run) => needOf(run, shop, onHandFor(items, run.id)) ?? []);
