import type { Dial } from './shop';

/** A way of a slide as its dial shows it: whole turns, divisions, and what is left under half a division, mm. */
export interface DialMove {
  turns: number;
  divisions: number;
  rest: number;
}

/** Turns and divisions for a way of the slide, mm (trade: Stops): distance / travel per turn. */
export function dialMove(distance: number, { travel, divisions }: Dial): DialMove {
  const one = travel / divisions;
  const all = Math.round(distance / one);
  return { turns: Math.floor(all / divisions), divisions: all % divisions, rest: distance - all * one };
}

/** Whole turns and divisions, as they are counted. */
export const sayDial = ({ turns, divisions }: DialMove): string => `${turns} + ${divisions}`;
