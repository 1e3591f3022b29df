import { sayFigure } from '../units/mark';
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

/** A cut by the dial: from which reading to which, in divisions, and how often its nought is passed on the way. */
export interface DialReading {
  from: number;
  to: number;
  pastNought: number;
}

/**
 * Where a dial stands before and after each of several ways in a row, mm, set to nought before the first (trade: Stops). Always the
 * same way on, the play taken up; what is under half a division is carried on, so that it does not add up.
 */
export function dialReadings(distances: readonly number[], dial: Dial): DialReading[] {
  let before = 0;
  let turned = dialMove(0, dial);
  return distances.map((distance) => {
    const next = dialMove(before + distance, dial);
    const reading = { from: turned.divisions, to: next.divisions, pastNought: next.turns - turned.turns };
    [before, turned] = [before + distance, next];
    return reading;
  });
}

/** A reading in words: `0 → 50`, `100 → 25 past 0`. */
export const sayReading = ({ from, to, pastNought }: DialReading): string =>
  `${sayFigure(from)} → ${sayFigure(to)}${pastNought === 0 ? '' : ` past 0${pastNought > 1 ? ` ×${pastNought}` : ''}`}`;

/** Whole turns and divisions, as they are counted. */
export const sayDial = ({ turns, divisions }: DialMove): string => `${turns} + ${sayFigure(divisions)}`;
