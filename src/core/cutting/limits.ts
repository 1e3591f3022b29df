/**
 * What holds a cut where it is: the least of everything that could allow more of it (handbook 6). A new limit is one more
 * name here, with its words.
 */
export type Limit =
  | 'stock'
  | 'material'
  | 'power'
  | 'holding'
  | 'bending'
  | 'bar'
  | 'finish'
  | 'tolerance'
  | 'chip'
  | 'shape'
  | 'again'
  | 'decided';

/** Each in words: what would have to be otherwise for a deeper cut. */
export const LIMITS: Record<Limit, string> = {
  stock: 'there is no more to take off',
  material: 'deeper is too much for this material on such a lathe',
  power: 'the motor gives no more at its speed and feed',
  holding: 'more force could turn the work in what holds it',
  bending: 'the work would give way into its finish',
  bar: 'the bar would give way',
  finish: 'it is what roughing left for it',
  tolerance: 'two equal cuts give way alike',
  chip: 'every pass takes the same chip',
  shape: 'the form goes so deep',
  decided: 'so decided',
  again: 'no infeed: it takes what gave way',
};

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
  const [limit, depth] = allowed.reduce((least, own) => (own[1] < least[1] - 1e-12 ? own : least));
  return { depth, limit };
}
