import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { bendsPerNewton } from './beam';
import { gripAt } from './grip';
import type { CutLimits } from './limits';

/** A set-up without its centre: of a cut that pushes along it takes nothing. */
const alone = (setup: Setup): Setup => (setup.supported ? { ...setup, supported: false } : setup);

/** What the motor gives at the spindle, kW. */
export const motorOf = ({ run }: Pick<Setup, 'run'>): number =>
  run.shop.machine.motorKilowatts * run.shop.machine.efficiency;

/**
 * What a roughing cut on a diameter may reach here (trade: Holding, Cutting): of the material, the motor, the grip, and, where it
 * pushes across the work, of what that may give way by.
 */
export function limitsOn(
  operation: Operation,
  diameter: number,
  work: Workpiece,
  setup: Setup,
  pushesAcross = true,
): CutLimits {
  const { material, cutting, allowances } = setup.run.shop;
  const perNewton = pushesAcross ? bendsPerNewton(operation, work, setup) : undefined;
  return {
    material: material.deepestCut,
    power: motorOf(setup),
    holding: gripAt(diameter, Math.min(operation.from, operation.to), pushesAcross ? setup : alone(setup)),
    ...(perNewton === undefined ? {} : { bending: { most: cutting.roughBend * allowances.finishPerSide, perNewton } }),
  };
}
