import type { Part } from '../model/part/part';
import type { Size } from '../model/part/size';
import { standardTolerance } from '../model/part/tolerance';
import { leftToReam } from '../model/shop/reaming';
import type { CuttingValues, Tool } from '../model/shop/shop';
import { CLOSE } from '../model/tolerances';

/** Reamers as sold make an H of this grade. */
const REAMED_TO = 7;

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
  const canReam = ({ nominal: size, lower, upper }: Size) => {
    const { least, most } = leftToReam(size, cutting);
    const made = (standardTolerance(REAMED_TO, size) ?? 0) / 2;
    return (
      made >= lower - CLOSE &&
      made <= upper + CLOSE &&
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
