import type { Elsewhere } from '../../model/part/elsewhere';
import { turnRound, type Part } from '../../model/part/part';
import type { Size } from '../../model/part/size';
import type { OutsideValues } from '../../model/shop/shop';
import { CLOSE } from '../../model/tolerances';

const longer = (size: Size, by: number): Size => ({
  ...size,
  nominal: size.nominal + by,
  aim: size.aim + by,
});

/** The part with its back longer by so much: its last step, and what goes right through. mm */
function longerBehind(part: Part, by: number): Part {
  const length = part.length + by;
  const last = part.steps.length - 1;
  return {
    ...part,
    length,
    steps: part.steps.map((step, index) =>
      index < last
        ? step
        : {
            ...step,
            length: longer(step.length, by),
            zTo: step.zTo + by,
            middle: { ...step.middle, to: step.middle.to + by },
          },
    ),
    holes: part.holes.map((hole) => (hole.through ? { ...hole, depth: hole.depth + by } : hole)),
    features: part.features.map((feature) =>
      feature.bore && feature.z1 > part.length - CLOSE
        ? {
            ...feature,
            z1: feature.z1 + by,
            bore: feature.bore.map((segment) =>
              segment.z1 > part.length - CLOSE ? { ...segment, z1: segment.z1 + by } : segment,
            ),
          }
        : feature,
    ),
  };
}

/** The lengths of the drawing that end at an end face, longer by so much. */
const linksTo = ({ links, steps }: Part, end: 'front' | 'back', by: number): Part['links'] =>
  links.map((link) =>
    (end === 'front' ? link.from === 0 : link.to === steps.length) ? { ...link, size: longer(link.size, by) } : link,
  );

/** The part as the lathe leaves it where an end is trimmed at assembly: so much too long there (trade: Small practices). */
export const leftLong = (part: Part, elsewhere: readonly Elsewhere[], { leaveToTrim }: OutsideValues): Part =>
  elsewhere
    .filter(({ kind }) => kind === 'trim')
    .reduce((left, { end = 'back', length: by = leaveToTrim }) => {
      const links = linksTo(left, end, by);
      const long = end === 'back' ? longerBehind(left, by) : turnRound(longerBehind(turnRound(left), by));
      return { ...long, links };
    }, part);
