import { freeLength, sameSection, type RackItem, type Section } from '../rack/rack';
import type { CutList, SawBar, SawPiece, Turned } from './cutList';

/** What a run wants of its bars. Lengths mm. */
export interface SawNeed {
  run: number;
  number: string;
  section: Section;
  /** A blank, or the pitch of a piece that is turned from the bar. */
  each: number;
  count: number;
  turned?: Turned;
  /** Whether more of it can be bought; what the rack alone has ends with it. */
  sold: boolean;
  barLength: number;
  kerf: number;
}

/** A cut list of one section, and the runs it is for. */
export interface SectionCuts {
  section: Section;
  list: CutList;
}

/** What of an item the named runs may saw: what is free, and what they have reserved themselves. */
const forRuns = (item: RackItem, runs: readonly number[]): number =>
  freeLength(item) +
  item.reserved.filter(({ run }) => runs.includes(run)).reduce((total, { length }) => total + length, 0);

/**
 * The cut lists of some runs, one for each section: grades and sections are never mixed. Bars come off the rack first,
 * offcuts before whole ones, and beyond it as many new ones as are needed.
 */
export function cutListsOf(needs: readonly SawNeed[], items: readonly RackItem[]): SectionCuts[] {
  const runs = needs.map(({ run }) => run);
  const sections = needs.filter(
    ({ section }, index) => needs.findIndex((other) => sameSection(other.section, section)) === index,
  );
  return sections.map(({ section }) => {
    const ofSection = needs.filter((need) => sameSection(need.section, section));
    const onRack = items
      .filter((item) => sameSection(item, section))
      .map((item): SawBar => ({
        label: `${item.offcut ? 'offcut' : 'bar'} ${item.id}${item.place ? `, ${item.place}` : ''}`,
        length: forRuns(item, runs),
        count: 1,
        endWaste: 0,
        // A bar on the rack is bought: it is taken before a new one is.
        offcut: item.offcut,
      }))
      .filter(({ length }) => length > 0);
    const sold = ofSection.filter((need) => need.sold).map(({ barLength }) => barLength);
    const bought: SawBar[] =
      sold.length > 0 ? [{ label: 'new bar', length: Math.max(...sold), count: null, endWaste: 0, offcut: false }] : [];
    const pieces = ofSection.map(({ number, each, count, turned }): SawPiece => ({
      label: number,
      length: Number(each.toFixed(3)),
      count,
      ...(turned && { turned }),
    }));
    return {
      section,
      list: { kerf: Math.max(...ofSection.map(({ kerf }) => kerf)), bars: [...onRack, ...bought], pieces },
    };
  });
}
