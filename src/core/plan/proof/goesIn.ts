import type { Run } from '../../model/run';
import type { Fault } from './faults';
import { highAt, type Section } from './section/section';
import { viewOf } from './standing';
import type { WrittenSetup } from './written';

/** Wider than what lets it through by more than this, a side, mm: arithmetic loses less. */
const WIDER = 0.01;

/**
 * Whether work goes so deep into its chuck as a set-up says: between the jaws, and behind them no wider than the spindle lets
 * through (trade: Safe holds).
 */
export function goesIn(setup: WrittenSetup, metal: Section, { shop, part }: Run): Fault[] {
  const { holding, number } = setup;
  const { machine } = shop;
  if (holding.inside !== undefined || ['collet', 'between-centres'].includes(holding.kind)) return [];
  const view = viewOf(setup, part.length);
  const chuck = Math.min(view(holding.from), view(holding.to)) + machine.jaws.length;
  const passes = machine.spindleBore / 2;
  return metal.flatMap((slab): Fault[] => {
    const from = Math.max(slab.z0, chuck);
    const wide = slab.z1 > from + WIDER ? highAt(slab, (from + slab.z1) / 2) : 0;
    if (wide <= passes + WIDER) return [];
    return [
      {
        code: 'meets-chuck',
        setup: number,
        what: 'the work',
        diameter: 2 * wide,
        z: view(from),
        amount: slab.z1 - from,
      },
    ];
  });
}
