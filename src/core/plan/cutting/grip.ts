import type { Setup } from '../../model/plan/setup';

/**
 * What a holding turns the work with before it slips, N·m, with the safety of the shop: friction under what its kind
 * grips with. What the shop lists no force of does not slip: a dog, a thread that the cut screws home.
 */
export function gripTorque({ holding, run }: Pick<Setup, 'holding' | 'run'>): number {
  const { gripForce, gripFriction, gripSafety } = run.shop.cutting;
  const force = gripForce[holding.kind];
  return force === undefined ? Infinity : (gripFriction * force * holding.diameter) / 2000 / gripSafety;
}

/** The main force on a diameter that turns the work in its holding, N. */
export const gripAt = (diameter: number, setup: Pick<Setup, 'holding' | 'run'>): number =>
  (2000 * gripTorque(setup)) / diameter;
