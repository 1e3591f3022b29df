import type { PassLoad } from '../../model/plan/passLoad';
import { figure, term, type Figure } from '../../model/figure';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { barBends } from './deflection';
import { cuttingForce } from './force';
import { forceAndPower, ofNose } from './load';
import { notAbove } from './speed';

/** How far a bar stands out of its holder, mm: as deep as it goes, and what keeps that clear of the work. */
const standsOut = ({ to }: Operation, { run }: Setup): number => to + run.shop.allowances.toolClearance;

/** What a bar gives way by in a cut 1 mm deep at its feed, mm; nothing where the tool says no diameter. */
export function bendsAMillimetre(operation: Operation, setup: Setup): number {
  const { cutting, machine, material } = setup.run.shop;
  const { approachAngle, radialForce, barElasticity } = cutting;
  const { diameter } = operation.tool;
  if (!diameter) return 0;
  const feed = notAbove(machine.feeds, cutting.feed[operation.kind] ?? 0);
  const force = cuttingForce({ ...material.force, feed, depth: 1, approachAngle });
  return barBends(radialForce * force, standsOut(operation, setup), diameter, barElasticity);
}

/** The deepest roughing cut of a bar, mm: what it bends by stays within what is left to the last cut. */
export function deepestOfBar(operation: Operation, setup: Setup): number {
  const { roughBend, finishBore } = setup.run.shop.cutting;
  return (roughBend * finishBore) / bendsAMillimetre(operation, setup);
}

/** What a bar gives way by under a main force, N. */
export function deflectionOfBar(force: number, operation: Operation, setup: Setup): Figure {
  const { radialForce, barElasticity } = setup.run.shop.cutting;
  const { diameter = 0 } = operation.tool;
  const out = standsOut(operation, setup);
  return figure({
    name: 'deflection of the bar',
    unit: 'mm',
    value: barBends(radialForce * force, out, diameter, barElasticity),
    formula: '64 · q · F · L^3 / (3 · π · E · d^4)',
    terms: [
      term('q', 'share of the main force that pushes off', radialForce, '', 'start value'),
      term('F', 'main force', force, 'N', 'computed'),
      term('L', 'the bar stands out', out, 'mm', 'computed'),
      term('E', 'elasticity of the bar', barElasticity, 'N/mm²', 'start value'),
      term('d', 'bar', diameter, 'mm', 'tool'),
    ],
    note: 'The bore comes out too small by twice as much.',
  });
}

/** Force, power and bending of a cut inside: it is the bar that gives way (trade: Cutting). */
export function barLoad(
  operation: Operation,
  { depth }: Pass,
  _work: Workpiece,
  setup: Setup,
  feed: Figure,
  achieved: Figure,
): PassLoad | undefined {
  const { tool } = operation;
  const asked = forceAndPower({ depth }, setup, feed, achieved);
  if (!asked.force || !tool.diameter) return undefined;
  return {
    ...asked,
    bends: deflectionOfBar(asked.force.value, operation, setup),
    ...ofNose(tool, feed.value, depth, setup),
  };
}
