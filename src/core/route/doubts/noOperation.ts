import type { Look } from './doubt';

/** Features that no operation makes yet: they are told, never silently left out of the figures. */
export const noOperation: Look = ({ part }, _, made) =>
  part.features
    .filter((feature) => !made.has(feature.path))
    .map(({ path, name, leaves }) => ({
      path,
      rule: 'NO-OPERATION',
      because: leaves
        ? `${name}: no operation yet. The plan turns this corner square, and none of its figures count the fillet.`
        : `${name}: no operation yet. The plan leaves the metal there, and none of its figures count it.`,
    }));
