import type { Feature } from '../model/part/feature';
import type { Part } from '../model/part/part';
import { makesWithReamer } from '../model/shop/reaming';
import type { Tool } from '../model/shop/shop';
import { isBeyondBars, sizesOf, withinReach } from './toolsInReach';

/** Whether no bar goes through a bore, of the list or longer, and a reamer makes it. */
function isReamed(feature: Feature, part: Part, tools: readonly Tool[]): boolean {
  const { kind, size } = feature;
  if (kind !== 'bore' || !size || size.from === 'general' || !makesWithReamer(size)) return false;
  return isBeyondBars(feature, part, tools) && withinReach(sizesOf(tools, 'ream'), size.nominal);
}

/** A part whose long bores right through that no bar reaches are reamed, where a reamer makes their fit (trade: Small practices). */
export const reamedInstead = (part: Part, tools: readonly Tool[]): Part => ({
  ...part,
  features: part.features.map((feature) =>
    isReamed(feature, part, tools)
      ? { ...feature, kind: 'ream', name: feature.name.replace(/^bore/, 'ream') }
      : feature,
  ),
});
