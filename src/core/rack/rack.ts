import type { BarCondition, StockForm } from '../shop/shop';

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
  what: 'received' | 'reserved' | 'released' | 'used' | 'returned' | 'scrapped';
  length: number;
  note: string;
  at: string;
}

/** What of an item nobody has reserved, mm. */
export const freeLength = ({ length, reserved }: Pick<RackItem, 'length' | 'reserved'>): number =>
  length - reserved.reduce((total, own) => total + own.length, 0);

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

/** Items gathered by their section, in the order they come. */
export function bySection(items: readonly RackItem[]): RackItem[][] {
  const lots = new Map<string, RackItem[]>();
  for (const item of items) {
    const lot = lots.get(sectionKey(item));
    if (lot) lot.push(item);
    else lots.set(sectionKey(item), [item]);
  }
  return [...lots.values()];
}

/** What open runs need of one section, against what is free on the rack. Lengths mm. */
export interface Shortage {
  section: Section;
  needed: number;
  free: number;
  runs: number[];
}

/**
 * The low-stock list: sections of which open runs need more than is free on the rack, the most wanted first. What a run
 * has reserved counts as its own.
 */
export function shortages(
  needs: readonly { run: number; section: Section; length: number }[],
  items: readonly RackItem[],
): Shortage[] {
  const bySection = new Map<string, Shortage>();
  for (const { run, section, length } of needs) {
    const key = sectionKey(section);
    const known = bySection.get(key) ?? { section, needed: 0, free: 0, runs: [] };
    const own = items
      .filter((item) => sameSection(item, section))
      .flatMap(({ reserved }) => reserved.filter((reservation) => reservation.run === run));
    known.needed += Math.max(0, length - own.reduce((total, reservation) => total + reservation.length, 0));
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
    .filter(({ needed, free }) => needed > free + 1e-6)
    .sort((a, b) => b.needed - b.free - (a.needed - a.free));
}
