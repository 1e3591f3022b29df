import type { Feature } from '../model/part/feature';
import type { Part } from '../model/part/part';
import type { Size } from '../model/part/size';
import { tapDrill } from '../model/part/thread';
import { minorLimits } from '../model/part/threadLimits';
import { threadToolOf } from '../model/shop/threadTool';
import type { CuttingValues, Tool } from '../model/shop/shop';
import { CLOSE } from '../model/tolerances';

/** The core of a thread in a bore as it is bored: between the least and the most that leave enough of a thread. */
function coreOf({ thread }: Feature, { tapDrillOver }: CuttingValues): Size | undefined {
  if (!thread) return undefined;
  const usual = tapDrill(thread);
  const { least, most } = minorLimits(thread) ?? { least: usual, most: usual + tapDrillOver * thread.pitch };
  const upper = most - least;
  return { nominal: least, lower: 0, upper, aim: least + upper / 2, from: 'limits' };
}

/**
 * A part whose threads in a bore are cut by a tool along the leadscrew where no tap cuts them, or no drill or hole of the drawing is
 * their core (trade: Cutting).
 * @param tools of the shop, with those that it can get
 */
export function threadedInside(part: Part, tools: readonly Tool[], cutting: CuttingValues): Part {
  const holes = [
    ...tools.flatMap(({ does, diameter }) => (does.includes('drill') && diameter !== undefined ? [diameter] : [])),
    ...part.holes.map(({ diameter }) => diameter.nominal),
    ...part.features.flatMap(({ kind, size }) => (['bore', 'ream'].includes(kind) && size ? [size.nominal] : [])),
  ];
  const isTapped = ({ thread }: Feature, { nominal, upper }: Size) =>
    thread !== undefined &&
    threadToolOf('tap', thread, tools) !== undefined &&
    holes.some((hole) => hole >= nominal - CLOSE && hole <= nominal + upper + CLOSE);
  return {
    ...part,
    features: part.features.map((feature) => {
      const size = feature.kind === 'tap' ? coreOf(feature, cutting) : undefined;
      return !size || isTapped(feature, size)
        ? feature
        : { ...feature, kind: 'inner-thread', size, name: feature.name.replace(/^tap/, 'inside thread') };
    }),
  };
}
