import type { ToBuy } from '../rack/buying';
import type { Section } from '../rack/rack';
import { figure, type Cell } from './table';

const HEAD = ['section', 'short_m', 'bars', 'bar_length_mm', 'for'];

/** What is to be bought, a row a section (docs/run-file.md). @param runOf the number of a run by its id */
export const buyingTable = (
  list: readonly ToBuy[],
  nameOf: (section: Section) => string,
  runOf: (id: number) => string,
): Cell[][] => [
  HEAD,
  ...list.map(({ section, short, bars, barLength, runs }) => [
    nameOf(section),
    figure(short / 1000, 2),
    figure(barLength === undefined ? undefined : bars),
    figure(barLength === undefined ? undefined : Number(barLength.toFixed(1))),
    [...new Set(runs.map(runOf))].join('; '),
  ]),
];
