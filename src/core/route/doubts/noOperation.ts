import type { Feature } from '../../part/feature';
import type { Setup } from '../setup';
import type { Look } from './doubt';

/** Features that are there without any tool: flats that the bar brings with it. */
const comesWithBar = ({ kind, path }: Feature, setup: Setup | undefined): boolean =>
  setup !== undefined && setup.stock.form === kind && setup.stock.asDrawn.includes(path);

/** Features that no operation makes yet: they are told, never silently left out of the figures. */
export const noOperation: Look = ({ part }, setups, made) =>
  part.features
    .filter((feature) => !made.has(feature.path) && !comesWithBar(feature, setups[0]))
    .map(({ path, name, leaves }) => ({
      path,
      rule: 'NO-OPERATION',
      because: leaves
        ? `${name}: no operation yet. The plan turns this corner square, and none of its figures count the fillet.`
        : `${name}: no operation yet. The plan leaves the metal there, and none of its figures count it.`,
    }));
