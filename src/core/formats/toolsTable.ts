import type { Tool } from '../model/shop/shop';
import { figure, type Cell } from './table';

const HEAD = ['id', 'name', 'does', 'diameter_mm', 'put_aside'];

/** Tools of the shop, a row each; all that there is to know of them is in the shop's own file (docs/run-file.md). */
export const toolsTable = (tools: readonly Tool[]): Cell[][] => [
  HEAD,
  ...tools.map(({ id, name, does, diameter, archived }): Cell[] => [
    id,
    name,
    does.join(' '),
    figure(diameter),
    archived ? 'yes' : '',
  ]),
];
