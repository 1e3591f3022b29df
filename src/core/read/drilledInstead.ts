import type { Feature } from '../model/part/feature';
import type { Hole, Part } from '../model/part/part';
import type { Tool } from '../model/shop/shop';
import { isBeyondBars, sizesOf, withinReach } from './toolsInReach';

/** Whether no bar goes through a bore, of the list or longer, and the drawing leaves it so wide that a drill makes it. */
const isDrilled = (feature: Feature, part: Part, tools: readonly Tool[]): boolean =>
  feature.kind === 'bore' &&
  feature.size?.from === 'general' &&
  isBeyondBars(feature, part, tools) &&
  withinReach(sizesOf(tools, 'drill'), feature.size.nominal);

/** The hole of such a bore. */
const holeOf = ({ path, called, from = 'front', size, z1 }: Feature): Hole[] =>
  size
    ? [{ path, ...(called === undefined ? {} : { name: called }), from, diameter: size, depth: z1, through: true }]
    : [];

/** A part whose long bores right through that no bar reaches are drilled, where the drawing asks for no more (trade: Small practices). */
export function drilledInstead(part: Part, tools: readonly Tool[]): Part {
  const drilled = part.features.filter((feature) => isDrilled(feature, part, tools));
  if (drilled.length === 0) return part;
  return {
    ...part,
    holes: [...part.holes, ...drilled.flatMap(holeOf)],
    features: part.features.filter((feature) => !drilled.includes(feature)),
  };
}
