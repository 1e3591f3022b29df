import { whyNotCut } from '../gears/gearing';
import { say } from '../../model/words';
import type { Look } from './doubt';

/** Features that no operation makes yet: they are told, never silently left out of the figures. */
export const noOperation: Look = ({ part, units, shop }, _, made) =>
  [
    ...part.features.map(({ path, name, leaves, thread, bore, z0, z1 }) => ({
      path,
      name,
      leaves,
      why: thread && !bore ? whyNotCut({ ...thread, length: z1 - z0 }, shop) : undefined,
    })),
    ...part.chamfers.map(({ path, size }) => ({
      path,
      name: `chamfer ${say(size, units)}`,
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
