import type { Tool } from '../model/shop/shop';

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
