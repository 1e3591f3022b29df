import type { ToOrder } from '../schedule/toOrder';
import type { Section } from '../rack/rack';
import { figure, type Cell } from './table';

const HEAD = ['supplier', 'order_by', 'wanted_on', 'section', 'short_m', 'bars', 'bar_length_mm', 'for'];

/** What is to be bought, a row a section (docs/run-file.md). @param runOf the number of a run by its id */
export const buyingTable = (
  list: readonly ToOrder[],
  nameOf: (section: Section) => string,
  runOf: (id: number) => string,
): Cell[][] => [
  HEAD,
  ...list.map(({ supplier, orderBy, wanted, section, short, bars, barLength, runs }) => [
    supplier,
    orderBy ?? '',
    wanted ?? '',
    nameOf(section),
    figure(short / 1000, 2),
    figure(barLength === undefined ? undefined : bars),
    figure(barLength === undefined ? undefined : Number(barLength.toFixed(1))),
    [...new Set(runs.map(runOf))].join('; '),
  ]),
];
