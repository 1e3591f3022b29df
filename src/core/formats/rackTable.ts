import { freeLength, type RackItem } from '../rack/rack';
import { figure, type Cell } from './table';

const HEAD = ['bar', 'section', 'length_mm', 'free_mm', 'offcut', 'place', 'batch', 'price', 'reserved_for'];

/** Bars and offcuts of the rack, a row each (docs/run-file.md). @param runOf the number of a run by its id */
export const rackTable = (
  items: readonly RackItem[],
  nameOf: (item: RackItem) => string,
  runOf: (id: number) => string,
): Cell[][] => [
  HEAD,
  ...items.map((item): Cell[] => [
    figure(item.id),
    nameOf(item),
    figure(item.length, 1),
    figure(freeLength(item), 1),
    item.offcut ? 'yes' : '',
    item.place,
    item.batch,
    figure(item.price, 2),
    item.reserved.map(({ run }) => runOf(run)).join('; '),
  ]),
];
