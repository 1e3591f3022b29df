import type { BarCondition, OnHand, StockForm } from '../model/shop/shop';

/** What a bar is, apart from its length: bars alike in this may stand in for each other. */
export interface Section {
  material: string;
  form: StockForm;
  /** mm */
  size: number;
  bore: number;
  condition: BarCondition;
}

/** A length of an item that a run has put its name on. */
export interface Reservation {
  run: number;
  /** mm */
  length: number;
}

/** One bar or offcut on the rack. Lengths mm. */
export interface RackItem extends Section {
  id: number;
  length: number;
  offcut: boolean;
  /** Heat or batch, as the supplier calls it. */
  batch: string;
  place: string;
  /** Of the whole item; absent when nobody noted it. */
  price?: number;
  reserved: Reservation[];
}

/** One line of the history. */
export interface RackMove {
  id: number;
  item: number;
  run?: number;
  what: 'received' | 'reserved' | 'released' | 'used' | 'returned' | 'brought back' | 'scrapped';
  length: number;
  note: string;
  at: string;
}

/** What of an item nobody has reserved, mm. */
export const freeLength = ({ length, reserved }: Pick<RackItem, 'length' | 'reserved'>): number =>
  length - reserved.reduce((total, reservation) => total + reservation.length, 0);

/** What is free of an item for a run: its own name on it counts as free. mm */
export const freeFor = (item: RackItem, run: number | undefined): number =>
  freeLength(item) + (item.reserved.find((reservation) => reservation.run === run)?.length ?? 0);

/** Whether two bars may stand in for each other: grades and sections are never mixed. */
export const sameSection = (a: Section, b: Section): boolean =>
  a.material === b.material &&
  a.form === b.form &&
  a.condition === b.condition &&
  Math.abs(a.size - b.size) < 0.001 &&
  Math.abs(a.bore - b.bore) < 0.001;

/** A section as a key, for gathering. */
export const sectionKey = ({ material, form, size, bore, condition }: Section): string =>
  [material, form, size.toFixed(3), bore.toFixed(3), condition].join(' ');

/** Bars and offcuts of one section. */
export type Lot = [RackItem, ...RackItem[]];

/** Items gathered by their section, in the order they come. */
export function bySection(items: readonly RackItem[]): Lot[] {
  const lots = new Map<string, Lot>();
  for (const item of items) {
    const lot = lots.get(sectionKey(item));
    if (lot) lot.push(item);
    else lots.set(sectionKey(item), [item]);
  }
  return [...lots.values()];
}

/** What the rack offers a run, section by section: what is free, and what has the run's own name on it. */
export const onHandFor = (items: readonly RackItem[], run: number | undefined): OnHand[] =>
  bySection(items).map((lot) => {
    const { material, form, size, bore, condition } = lot[0];
    const free = lot.map((item) => freeFor(item, run));
    const sum = free.reduce((total, length) => total + length, 0);
    return { material, form, size, bore, condition, free: sum, longest: Math.max(...free) };
  });

/** How much of a section is to be kept on the rack, mm. */
export interface StockLevel extends Section {
  least: number;
}

/** What open runs need of one section and what is to be kept of it, against what is free on the rack. Lengths mm. */
export interface Shortage {
  section: Section;
  needed: number;
  /** To be kept beyond what the runs need. */
  least: number;
  free: number;
  runs: number[];
}

/** How much of a section must come in, mm. */
export const shortOf = ({ needed, least, free }: Shortage): number => needed + least - free;

/**
 * The low-stock list: sections of which less is free than open runs need and the shop wants to keep, the most wanted
 * first. What a run has reserved counts as its own.
 */
export function shortages(
  needs: readonly { run: number; section: Section; length: number }[],
  items: readonly RackItem[],
  levels: readonly StockLevel[] = [],
): Shortage[] {
  const bySection = new Map<string, Shortage>(
    levels.map(({ least, ...section }) => [sectionKey(section), { section, needed: 0, least, free: 0, runs: [] }]),
  );
  for (const { run, section, length } of needs) {
    const key = sectionKey(section);
    const known = bySection.get(key) ?? { section, needed: 0, least: 0, free: 0, runs: [] };
    const reservations = items
      .filter((item) => sameSection(item, section))
      .flatMap(({ reserved }) => reserved.filter((reservation) => reservation.run === run));
    known.needed += Math.max(0, length - reservations.reduce((total, reservation) => total + reservation.length, 0));
    known.runs.push(run);
    bySection.set(key, known);
  }
  return [...bySection.values()]
    .map((shortage) => ({
      ...shortage,
      free: items
        .filter((item) => sameSection(item, shortage.section))
        .reduce((total, item) => total + freeLength(item), 0),
    }))
    .filter((shortage) => shortOf(shortage) > 1e-6)
    .sort((a, b) => shortOf(b) - shortOf(a));
}
