import { whyNotCut } from '../gears/gearing';
import type { Feature } from '../../model/part/feature';
import type { Run } from '../../model/run';
import { say } from '../../model/words';
import type { Look } from './doubt';

/** Why a bore is not bored, where what goes into it is too short; undefined where that is not the reason. */
function whyNotBored({ kind, size, z0, z1 }: Feature, { shop, units }: Run): string | undefined {
  if ((kind !== 'bore' && kind !== 'counterbore') || !size) return undefined;
  const goIn = shop.tools.filter(({ does, least = 0 }) => does.includes(kind) && least < size.nominal);
  const depth = z1 - z0;
  return goIn.some(({ deep = 0 }) => deep >= depth) ? undefined : `no bar that goes in reaches ${say(depth, units)}`;
}

function whyNot(feature: Feature, run: Run): string | undefined {
  const { thread, bore, z0, z1 } = feature;
  return thread && !bore ? whyNotCut({ ...thread, length: z1 - z0 }, run.shop) : whyNotBored(feature, run);
}

/** Features that no operation makes yet: they are told, never silently left out of the figures. */
export const noOperation: Look = (run, _, made) =>
  [
    ...run.part.features.map((feature) => ({
      path: feature.path,
      name: feature.name,
      leaves: feature.leaves,
      why: whyNot(feature, run),
    })),
    ...run.part.chamfers.map(({ path, size }) => ({
      path,
      name: `chamfer ${say(size, run.units)}`,
      leaves: undefined,
      why: undefined,
    })),
  ]
    .filter((feature) => !made.has(feature.path))
    .map(({ path, name, leaves, why }) => ({
      path,
      rule: 'NO-OPERATION',
      because: leaves
        ? `${name}: no operation yet. The plan turns this corner square, and none of its figures count the fillet.`
        : `${name}: no operation yet${why ? `, ${why}` : ''}. The plan leaves the metal there, and none of its figures count it.`,
    }));
