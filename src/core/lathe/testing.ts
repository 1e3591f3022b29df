import type { Happening, LatheEvent, Ordered } from './events';

let count = 0;

/** Something that happened on a bench, each under a name of its own. */
export const eventOf = (happening: Happening, more: Partial<Omit<Ordered, keyof Happening>> = {}): LatheEvent => {
  count += 1;
  return {
    id: `e${count}`,
    device: 'bench',
    seq: count,
    at: '2026-11-30T08:00:00Z',
    revision: 1,
    ...more,
    ...happening,
  };
};
