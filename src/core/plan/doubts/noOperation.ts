import { say } from '../../model/words';
import type { Look } from './doubt';

/** Features that no operation makes yet: they are told, never silently left out of the figures. */
export const noOperation: Look = ({ part, units }, _, made) =>
  [
    ...part.features,
    ...part.chamfers.map(({ path, size }) => ({ path, name: `chamfer ${say(size, units)}`, leaves: undefined })),
  ]
    .filter((feature) => !made.has(feature.path))
    .map(({ path, name, leaves }) => ({
      path,
      rule: 'NO-OPERATION',
      because: leaves
        ? `${name}: no operation yet. The plan turns this corner square, and none of its figures count the fillet.`
        : `${name}: no operation yet. The plan leaves the metal there, and none of its figures count it.`,
    }));
