import type { PassLoad } from '../../model/plan/passLoad';
import type { Figure } from '../../model/figure';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { deflectionOfBar } from './bar';
import { powerOf } from './load';
import { threadForceFigure } from './threadLoad';

/** Force, power and bending of a pass of a thread in a bore: its chip is as thick as the pass goes deeper, and the bar gives way (trade: Cutting). */
export function innerThreadLoad(
  operation: Operation,
  { depth, diameter = 0 }: Pass,
  _work: Workpiece,
  setup: Setup,
  _feed: Figure,
  achieved: Figure,
): PassLoad | undefined {
  const core = setup.part.features.find(({ path }) => path === operation.feature)?.size?.aim;
  if (depth <= 0 || core === undefined) return undefined;
  const force = threadForceFigure((diameter - core) / 2 - depth, depth, setup);
  return { force, power: powerOf(force.value, achieved), bends: deflectionOfBar(force.value, operation, setup) };
}
