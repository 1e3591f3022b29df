import type { PassLoad } from '../../model/plan/passLoad';
import { figure, term, type Figure } from '../../model/figure';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { bendsOf } from './beam';
import { powerOf } from './load';

/** tan 30°: half of a 60° thread is so much wider for each millimetre of depth. */
const FLANK = Math.tan(Math.PI / 6);

/** Area of the chip between two depths of a 60° thread, tan 30° · (b² − a²), mm²: two triangles over each other. */
export const threadChip = (from: number, to: number): number => FLANK * (to ** 2 - from ** 2);

/** Main force of a pass from one depth to the next, k · t^(−m) · area, N: its chip is as thick as the pass goes deeper (trade: Cutting). */
export const threadForce = (from: number, to: number, { kc, m }: { kc: number; m: number }): number =>
  kc * (to - from) ** -m * threadChip(from, to);

/** The same as a figure. @param from how deep the thread is before, and by how much more after, mm */
export function threadForceFigure(from: number, depth: number, { run }: Setup): Figure {
  const { material } = run.shop;
  const { kc, m } = material.force;
  return figure({
    name: 'main force',
    unit: 'N',
    value: threadForce(from, from + depth, { kc, m }),
    formula: 'k · t^(-m) · √(1 / 3) · (b^2 - a^2)',
    terms: [
      term('k', `specific force of ${material.name}`, kc, 'N/mm²', 'material'),
      term('t', 'thickness of the chip', depth, 'mm', 'computed'),
      term('m', 'its exponent', m, '', 'material'),
      term('b', 'depth of the thread after it', from + depth, 'mm', 'computed'),
      term('a', 'before it', from, 'mm', 'computed'),
    ],
  });
}

/** Force, power and bending of a pass of a thread: its chip is as thick as the pass goes deeper (trade: Cutting). */
export function threadLoad(
  operation: Operation,
  { depth, diameter = 0 }: Pass,
  work: Workpiece,
  setup: Setup,
  _feed: Figure,
  achieved: Figure,
): PassLoad | undefined {
  if (depth <= 0 || operation.diameter === undefined) return undefined;
  const force = threadForceFigure((operation.diameter - diameter) / 2 - depth, depth, setup);
  const bends = bendsOf(force.value, operation, work, setup);
  return { force, power: powerOf(force.value, achieved), ...(bends ? { bends } : {}) };
}
