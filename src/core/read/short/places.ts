import { round, type Before } from './before';

/** Figures of a detail that is typed without its place, and the place that the step before gives it. */
export interface Placed {
  /** Keys of its figures in the order that they are typed; what is left out behind is left out. */
  order: readonly string[];
  /** How many there are at most when the place is left out: with more, they are as in the long notation. */
  upTo: number;
  /** The place, from the step before and the figures. */
  place(before: Before, figure: (key: string) => number | undefined): Record<string, number | string>;
}

/** Something of a length lies at the free end of the step, or all along it. */
function alongEnd({ z0, z1, isBehind }: Before, length: number | undefined): Record<string, number> {
  if (length === undefined) return { at: z0, length: round(z1 - z0) };
  return { at: isBehind ? round(z1 - length) : z0 };
}

const middle = ({ z0, z1 }: Before): number => round((z0 + z1) / 2);

/** Details that the step before gives a place, each with the figures that are left to say. */
export const PLACED: Readonly<Record<string, Placed>> = {
  thread: {
    order: ['designation', 'length'],
    upTo: 2,
    place: (before, figure) => alongEnd(before, figure('length')),
  },
  knurl: {
    order: ['pattern', 'pitch'],
    upTo: 2,
    place: (before) => ({ pattern: 'diamond', ...alongEnd(before, undefined) }),
  },
  flats: {
    order: ['across', 'count'],
    upTo: 2,
    place: (before) => ({ count: 2, ...alongEnd(before, undefined) }),
  },
  // In the corner where the step meets its neighbour.
  groove: {
    order: ['width', 'bottom'],
    upTo: 2,
    place: ({ z0, z1, isBehind }, figure) => ({ at: isBehind ? z0 : round(z1 - (figure('width') ?? 0)) }),
  },
  radius: {
    order: ['size'],
    upTo: 1,
    place: ({ z0, z1, isBehind }) => ({ at: isBehind ? z0 : z1 }),
  },
  chamfer: {
    order: ['size'],
    upTo: 1,
    place: ({ z0, z1, isBehind }) => (isBehind ? { at: z1, side: 'back' } : { at: z0 }),
  },
  vee: { order: ['included', 'depth'], upTo: 2, place: (before) => ({ at: middle(before) }) },
  hollow: { order: ['radius', 'depth'], upTo: 2, place: (before) => ({ at: middle(before) }) },
  'cross-hole': { order: ['diameter'], upTo: 1, place: (before) => ({ at: middle(before) }) },
};
