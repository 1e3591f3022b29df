import { csvFormatRows } from 'd3-dsv';
import type { ToBuy } from '../rack/buying';
import type { Section } from '../rack/rack';

const HEAD = ['section', 'short_m', 'bars', 'bar_length_mm', 'for'];

/** What is to be bought, a row a section (docs/run-file.md). @param runOf the number of a run by its id */
export const buyingCsv = (
  list: readonly ToBuy[],
  nameOf: (section: Section) => string,
  runOf: (id: number) => string,
): string =>
  csvFormatRows([
    HEAD,
    ...list.map(({ section, short, bars, barLength, runs }) => [
      nameOf(section),
      (short / 1000).toFixed(2),
      barLength === undefined ? '' : String(bars),
      barLength === undefined ? '' : String(Number(barLength.toFixed(1))),
      [...new Set(runs.map(runOf))].join('; '),
    ]),
  ]);
