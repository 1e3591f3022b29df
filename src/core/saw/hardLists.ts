import type { CutList } from './cutList';
import { numbers } from './numbers';

const bar = (length: number) => ({ label: 'bar', length, count: null, endWaste: 0, offcut: false });

/**
 * Lists on which first fit and rounding do badly: many lengths, each wanted once or twice, about three to a bar.
 * @param kinds how many lengths
 */
export function threeToABar(seed: number, kinds: number): CutList {
  const random = numbers(seed);
  return {
    kerf: 1.6,
    bars: [bar(3000)],
    pieces: Array.from({ length: kinds }, (_, index) => ({
      label: `p${index}`,
      length: Math.round(6500 + random() * 8000) / 10,
      count: random() < 0.5 ? 1 : 2,
    })),
  };
}

/**
 * Lists in which every three pieces fill a bar to the last unit, and no other way does as well: the hardest kind there
 * is, made as published ones are (bars of 1000, pieces of 250 to 500).
 */
export function triplets(seed: number, bars: number): CutList {
  const random = numbers(seed);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const pieces = Array.from({ length: bars }, () => {
    const long = whole(380, 490);
    const middle = whole(250, Math.floor((1000 - long) / 2));
    return [long, middle, 1000 - long - middle];
  }).flat();
  return {
    kerf: 0,
    bars: [bar(1000)],
    pieces: pieces.map((length, index) => ({ label: `p${index}`, length, count: 1 })),
  };
}

/** A list of thirteen lengths that is printed in textbooks; 73 bars are the fewest. */
export const thirteenLengths: CutList = {
  kerf: 0,
  bars: [bar(5600)],
  pieces: (
    [
      [1380, 22],
      [1520, 25],
      [1560, 12],
      [1710, 14],
      [1820, 18],
      [1880, 18],
      [1930, 20],
      [2000, 10],
      [2050, 12],
      [2100, 14],
      [2140, 16],
      [2150, 18],
      [2200, 20],
    ] as const
  ).map(([length, count]) => ({ label: String(length), length, count })),
};
