import type { Feature } from '../model/part/feature';
import type { Part } from '../model/part/part';
import type { Tool } from '../model/shop/shop';
import { CLOSE } from '../model/tolerances';

/** Much smaller than the smallest of a list, or larger than its largest, a kind of tool is for another shop (ours). */
export const LEAST = 0.5;
const MOST = 1.25;

/** Whether a tool of a size is one that such a shop would get. */
export function withinReach(sizes: readonly number[], size: number): boolean {
  return sizes.length > 0 && size >= LEAST * Math.min(...sizes) && size <= MOST * Math.max(...sizes);
}

/** The sizes of a shop's tools of a kind, mm. */
export const sizesOf = (tools: readonly Tool[], kind: string): number[] =>
  tools.flatMap(({ does, diameter }) => (does.includes(kind) && diameter !== undefined ? [diameter] : []));

/** What stands behind a through hole is cut through as well: facing, blade and breakthrough are less, mm (ours). */
export const BEYOND = 12;

/** A boring bar stands out so many of its diameters at most; its bend is reckoned in the cut (ours). */
export const BAR_OUT = 6;

/** What a bar has to go in at: less than the bore that it widens, or no more than the small end of a cone. ⌀, mm */
const narrowest = ({ size, bore: [cone] = [], kind }: Feature): number =>
  kind === 'conical-bore' && cone ? 2 * Math.min(cone.r0, cone.r1) + 2 * CLOSE : (size?.nominal ?? 0);

/** How deep a bar has to go for a bore, the stoutest of the list that goes in, and whether one of those goes so deep. mm */
export function barFor(
  feature: Feature,
  { length }: Part,
  tools: readonly Tool[],
): { deep: number; stoutest?: Tool; isReached: boolean } {
  const { z0, z1 } = feature;
  const deep = z0 < CLOSE && z1 > length - CLOSE ? length + BEYOND : z1 - z0;
  const goIn = tools.filter(({ does, least = 0 }) => does.includes('bore') && least < narrowest(feature) - CLOSE);
  const [stoutest] = goIn.toSorted((a, b) => (b.diameter ?? 0) - (a.diameter ?? 0));
  return { deep, ...(stoutest ? { stoutest } : {}), isReached: goIn.some((bar) => (bar.deep ?? 0) >= deep) };
}

/** Whether a bore goes right through, and no bar that goes in it does, of the list or longer. */
export function isBeyondBars(feature: Feature, part: Part, tools: readonly Tool[]): boolean {
  const isThrough = feature.z0 < CLOSE && feature.z1 > part.length - CLOSE;
  const { stoutest, isReached } = barFor(feature, part, tools);
  return isThrough && !isReached && part.length > BAR_OUT * (stoutest?.diameter ?? 0) - CLOSE;
}
