import type { Plan } from '@/core/plan';
import type { Section } from '@/core/rack/rack';
import type { Turned } from '@/core/saw/cutList';
import { lengthTaken } from '@/core/stock/cost';
import { lostInTheLathe } from '@/core/stock/stock';
import type { SavedRun } from '@/server/runRepository';

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

/** What a planned run needs of the rack. */
export function stockNeed({ id, file }: SavedRun, { stock, run, way }: Plan): StockNeed {
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
}
