/** Units of the core; conversion happens where figures are shown. */
export type Unit =
  | 'mm'
  | 'mm/rev'
  | 'm/min'
  | 'rev/min'
  | 'min'
  | 'N'
  | 'N·m'
  | 'kW'
  | 'N/mm²'
  | 'g'
  | 'kg'
  | 'g/cm³'
  | '%'
  | 'money'
  | '';

/** Where a value in a working came from. */
export type Source =
  | 'drawing'
  | 'run'
  | 'machine'
  | 'tool'
  | 'material'
  | 'house rule'
  | 'start value'
  | 'computed'
  | 'table'
  | 'measured';

/** One value put into a formula, under the symbol that the formula uses for it. */
export interface Term {
  symbol: string;
  name: string;
  value: number;
  unit: Unit;
  from: Source;
}

/**
 * A computed value that opens to its working. The formula is written for a person with a pocket calculator, in the
 * symbols of its terms; a test works every formula of whole plans and compares.
 */
export interface Figure {
  name: string;
  value: number;
  unit: Unit;
  formula: string;
  terms: Term[];
  /** What the formula does not say: a rounding to what the machine has, a choice. */
  note?: string;
}

/** A figure; only says the type. */
export const figure = (figure: Figure): Figure => figure;

/** One value for a formula. */
export const term = (symbol: string, name: string, value: number, unit: Unit, from: Source): Term => ({
  symbol,
  name,
  value,
  unit,
  from,
});

/** A figure that another one uses. */
export const termOf = (symbol: string, figure: Figure): Term =>
  term(symbol, figure.name, figure.value, figure.unit, 'computed');

/** A sum as a figure: the commonest working of all. */
export function sum(name: string, unit: Unit, terms: Term[], note?: string): Figure {
  return {
    name,
    unit,
    value: terms.reduce((total, { value }) => total + value, 0),
    formula: terms.map(({ symbol }) => symbol).join(' + ') || '0',
    terms,
    ...(note === undefined ? {} : { note }),
  };
}
