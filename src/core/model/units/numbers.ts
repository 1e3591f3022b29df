import { sayFigure, saysComma } from './mark';

/** Numbers in a line, as a device writes them: `63, 80, 125`, or `0,5; 0,8` where its figures have a comma. */
export const sayNumbers = (values: readonly number[]): string =>
  values.map((value) => sayFigure(value)).join(saysComma() ? '; ' : ', ');

/**
 * Reads the numbers of a line. A comma inside a figure is its mark where semicolons stand between, or where the device
 * writes it so; otherwise commas stand between. What is no number is NaN.
 */
export function numbersIn(text: string): number[] {
  const isMark = saysComma() || text.includes(';');
  return text
    .split(isMark ? /[;\s]+|,(?=\s|$)/ : /[;,\s]+/)
    .filter(Boolean)
    .map((digits) => Number(digits.replace(',', '.')));
}
