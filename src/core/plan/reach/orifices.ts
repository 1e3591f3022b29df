import type { Part } from '../../model/part/part';
import type { CuttingValues } from '../../model/shop/shop';
import { CLOSE } from '../../model/tolerances';

/** A hole open at one end: how wide it is, and how deep from there, mm. */
interface Opening {
  path: string;
  from: 'front' | 'back';
  diameter: number;
  depth: number;
}

/** Every straight hole that does not go right through, drilled or bored. */
const openings = ({ holes, features, length }: Part): Opening[] => [
  ...holes
    .filter(({ through }) => !through)
    .map(({ path, from, diameter, depth }) => ({ path, from, diameter: diameter.nominal, depth })),
  ...features.flatMap(({ path, bore, from, size, z0, z1 }) =>
    bore && from && size && z1 - z0 < length - CLOSE ? [{ path, from, diameter: size.nominal, depth: z1 - z0 }] : [],
  ),
];

/** A narrow hole right through, the wider ones that open it, their end, and how deep, mm. */
export interface Orifice {
  path: string;
  wider: string[];
  opened: 'front' | 'back';
  deep: number;
}

/**
 * Holes that are long and thin from where wider ones open them, and short from their own end: those are drilled from there as
 * far as the wide ones, after those where that can be (trade: Order).
 */
export function orificesOf(part: Part, { orificeTimes }: CuttingValues): Orifice[] {
  return part.holes.flatMap(({ path, through, diameter: { nominal } }): Orifice[] => {
    const wider = openings(part).filter((opening) => opening.diameter > nominal + CLOSE);
    const [first] = wider;
    if (!through || !first || wider.some(({ from }) => from !== first.from)) return [];
    const deep = Math.max(...wider.map(({ depth }) => depth));
    const left = part.length - deep;
    // The wide ones are most of the way, or nothing is gained.
    const isThin = part.length > orificeTimes * nominal && left <= Math.min(orificeTimes * nominal, deep);
    return isThin ? [{ path, wider: wider.map((opening) => opening.path), opened: first.from, deep }] : [];
  });
}
