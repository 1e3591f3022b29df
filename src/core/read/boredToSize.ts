import type { Part } from '../model/part/part';
import type { Size } from '../model/part/size';
import { leftToReam, makesWithReamer } from '../model/shop/reaming';
import type { CuttingValues, Tool } from '../model/shop/shop';
import { CLOSE } from '../model/tolerances';

/**
 * A part whose reamed holes are bored to size where no reamer is as large, none makes such a fit, or no drill opens the hole for it
 * (trade: Small practices): what the drawing asks for is the hole.
 * @param tools of the shop, with those that it can get
 */
export function boredToSize(part: Part, tools: readonly Tool[], cutting: CuttingValues): Part {
  const sizesOf = (kind: string) =>
    tools.flatMap(({ does, diameter }) => (does.includes(kind) && diameter !== undefined ? [diameter] : []));
  const [reamers, drills] = [sizesOf('ream'), sizesOf('drill')];
  const drawn = part.holes.map(({ diameter }) => diameter.nominal);
  const canReam = (asked: Size) => {
    const { nominal: size } = asked;
    const { least, most } = leftToReam(size, cutting);
    return (
      makesWithReamer(asked) &&
      reamers.some((reamer) => Math.abs(reamer - size) < CLOSE) &&
      [...drills, ...drawn].some((hole) => hole >= size - most - CLOSE && hole <= size - least + CLOSE)
    );
  };
  return {
    ...part,
    features: part.features.map((feature) =>
      feature.kind === 'ream' && feature.size && !canReam(feature.size)
        ? { ...feature, kind: 'bore', name: feature.name.replace(/^ream/, 'bore') }
        : feature,
    ),
  };
}
