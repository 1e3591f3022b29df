import { STATE_WORDS } from '../model/runState';
import type { ListedRun } from '../present/listedRun';
import { figure, type Cell } from './table';

const HEAD = ['number', 'revision', 'name', 'quantity', 'material', 'customer', 'order', 'promised', 'state'];
const PLANNED = ['lathe', 'piece_min', 'batch_min', 'bars', 'bar', 'in_the_way'];

/** Runs of the board, a row each: as they are listed, and what their plans take (docs/run-file.md). */
export const runsTable = (runs: readonly ListedRun[]): Cell[][] => [
  [...HEAD, ...PLANNED],
  ...runs.map(({ figures, ...run }): Cell[] => {
    const plan = figures && 'way' in figures ? figures : undefined;
    const problem = figures && 'problem' in figures ? figures.problem : undefined;
    return [
      run.number,
      run.revision,
      run.name,
      run.quantity,
      run.material,
      run.customer,
      run.order,
      run.due,
      STATE_WORDS[run.state].is,
      run.machine,
      figure(plan?.pieceMinutes, 2),
      figure(plan?.batchMinutes, 1),
      figure(plan?.bars),
      plan?.size ?? '',
      problem?.message ?? '',
    ];
  }),
];
