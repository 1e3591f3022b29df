import type { Size } from './size';

/**
 * A length of the drawing between two faces. Faces count from the front: 0 is the finished front face, n the end of the
 * n-th step. `from` is the smaller.
 */
export interface Link {
  path: string;
  from: number;
  to: number;
  size: Size;
}

/** A link as a chain goes along it: forwards, or back. */
export interface Leg {
  link: Link;
  sign: 1 | -1;
}

/**
 * Links enough to reach every face and none to spare: the closest tolerances first, so that what closes a chain is the
 * widest (Kruskal's algorithm).
 */
export function treeOf(faces: number, links: readonly Link[]): Link[] {
  const group = Array.from({ length: faces }, (_, face) => face);
  const width = ({ size }: Link) => size.upper - size.lower;
  return [...links]
    .sort((a, b) => width(a) - width(b))
    .filter(({ from, to }) => {
      const [a, b] = [group[from], group[to]];
      if (a === b) return false;
      group.forEach((member, face) => {
        if (member === b) group[face] = a as number;
      });
      return true;
    });
}

/** The chain of links from one face to another; undefined when none leads there. */
export function chainBetween(tree: readonly Link[], from: number, to: number): Leg[] | undefined {
  const seen = new Set([from]);
  const search = (face: number): Leg[] | undefined => {
    if (face === to) return [];
    for (const link of tree) {
      const next = link.from === face ? link.to : link.to === face ? link.from : undefined;
      if (next === undefined || seen.has(next)) continue;
      seen.add(next);
      const rest = search(next);
      if (rest) return [{ link, sign: next > face ? 1 : -1 }, ...rest];
    }
    return undefined;
  };
  return search(from);
}

/** The length that a chain makes: nominal sizes added as they go, tolerances always added (trade: Shop arithmetic). */
export function sumOf(legs: readonly Leg[]): Size {
  const total = (of: (leg: Leg) => number) => legs.reduce((sum, leg) => sum + of(leg), 0);
  const nominal = total(({ link, sign }) => sign * link.size.nominal);
  const lower = total(({ link, sign }) => (sign > 0 ? link.size.lower : -link.size.upper));
  const upper = total(({ link, sign }) => (sign > 0 ? link.size.upper : -link.size.lower));
  const general = legs.every(({ link }) => link.size.from === 'general');
  return { nominal, lower, upper, aim: nominal + (lower + upper) / 2, from: general ? 'general' : 'limits' };
}

/** Where every face lies when every link of the tree is at the middle of its limits, mm from the front face. */
export function middlesOf(faces: number, links: readonly Link[]): number[] {
  const tree = treeOf(faces, links);
  return Array.from({ length: faces }, (_, face) => sumOf(chainBetween(tree, 0, face) ?? []).aim);
}

/** The length over all, as the chain of the drawing's lengths adds up to it. */
export function overAllOf(links: readonly Link[]): Size {
  const back = Math.max(0, ...links.map(({ to }) => to));
  return sumOf(chainBetween(treeOf(back + 1, links), 0, back) ?? []);
}
