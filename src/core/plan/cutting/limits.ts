import type { Limit } from '../../model/plan/passLoad';

/** What cuts along the work may reach: depth a side, mm, power, kW, main force, N, and bending of the work, mm. */
export interface CutLimits {
  material: number;
  power: number;
  holding: number;
  /** Bending that may be, and what the work gives way by for each newton of main force. */
  bending?: { most: number; perNewton: number };
}

/**
 * The deepest cut within all limits, and which of them it is.
 * @param force main force of a cut 1 mm deep, N, to which depth is proportional
 * @param speed cutting speed, m/min
 */
export function deepestWithin(
  { material, power, holding, bending }: CutLimits,
  force: number,
  speed: number,
): { depth: number; limit: Limit } {
  const allowed: [Limit, number][] = [
    ['material', material],
    ['power', (60000 * power) / (force * speed)],
    ['holding', holding / force],
    ...(bending ? [['bending', bending.most / (bending.perNewton * force)] as [Limit, number]] : []),
  ];
  const [limit, depth] = allowed.reduce((least, next) => (next[1] < least[1] - 1e-12 ? next : least));
  return { depth, limit };
}
