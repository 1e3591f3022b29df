import { formatNominal, type UnitSystem } from './units/length';

/** A rule or a choice with its reason, as it is shown. */
export interface Reason {
  /** Id of the rule (docs/rules.md), or of the choice. */
  rule: string;
  because: string;
}

/** Something to take care of: a usual caution, or a likely mistake. */
export interface Caution {
  kind: 'danger' | 'mistake';
  text: string;
}

/** Words as they begin a line. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A length in a sentence: `0.5 mm`, `0.375 in`. */
export const say = (mm: number, units: UnitSystem): string => `${formatNominal(mm, units)} ${units}`;

/** A diameter in a sentence: `⌀26`, `⌀0.375 in`. */
export const sayDiameter = (mm: number, units: UnitSystem): string =>
  `⌀${formatNominal(mm, units)}${units === 'mm' ? '' : ' in'}`;

/** H: impossible or dangerous otherwise. S: costs quality or time. C: a school's choice (trade: Order). */
export type Strength = 'H' | 'S' | 'C';
