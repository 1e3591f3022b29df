import type { Fluid, Material } from '../../model/shop/material';
import type { OperationKind } from '../../model/plan/operation';

/** What is brought to the cuts of a kind of operation in a material (trade: Cutting); nothing where none is known, or a hand does it. */
export function fluidFor(
  { byHand, shutIn }: Pick<OperationKind, 'byHand' | 'shutIn'>,
  material: Pick<Material, 'fluid' | 'fluidShutIn'>,
): Fluid | undefined {
  if (shutIn) return material.fluidShutIn;
  return byHand ? undefined : material.fluid;
}

/** Whether it is brought by hand, and takes its time. */
export const isWet = (fluid: Fluid | undefined): boolean => fluid !== undefined && fluid !== 'dry' && fluid !== 'air';
