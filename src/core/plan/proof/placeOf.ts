import type { Part } from '../../model/part/part';
import type { Disagreement } from './agree';

/** A hole is named for what is wrong this far inside its wall, mm. */
const REACHES = 0.5;

/** What of the drawing lies where something is wrong (path): the hole or the detail there, else the step. */
export function placeOf({ steps, features, holes, length }: Part, { z0, z1, r0 }: Disagreement): string {
  const middle = (z0 + z1) / 2;
  const meets = (stretch: { z0: number; z1: number }) => stretch.z0 < z1 && stretch.z1 > z0;
  const step = steps.find(({ zFrom, zTo }) => zFrom <= middle && middle <= zTo);
  const bored = features
    .filter((feature) => feature.bore && meets(feature))
    .map((feature) => ({ ...feature, r: radiusUnder(feature.bore) }));
  const drilled = holes.map(({ path, from, depth, diameter }) => ({
    path,
    r: diameter.nominal / 2,
    ...(from === 'front' ? { z0: 0, z1: depth } : { z0: length - depth, z1: length }),
  }));
  // The narrowest hole that reaches out to where it is wrong.
  const hole = [...bored, ...drilled]
    .filter((inner) => meets(inner) && inner.r > r0 - REACHES)
    .sort((a, b) => a.r - b.r)[0];
  const detail = features.find((feature) => feature.outside && meets(feature));
  const inside = hole && (!step || r0 < step.diameter.nominal / 4 + hole.r / 2);
  return (inside ? hole.path : (detail?.path ?? step?.path)) ?? 'part.outside';
}

const radiusUnder = (profile: readonly { r0: number; r1: number }[] = []): number =>
  Math.max(0, ...profile.flatMap(({ r0, r1 }) => [r0, r1]));
