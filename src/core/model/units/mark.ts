/** What stands between the whole and the part of a figure. */
export type Mark = '.' | ',';

declare global {
  /** The mark that is wanted where this is asked: whoever shows figures gives it to its process once. */
  var decimalMark: (() => Mark | typeof KEPT_MARK) | undefined;
}

/** Stands for the mark in words that are kept for devices of any kind; `sayKept` puts that of the reader in its place. */
export const KEPT_MARK = '\uE000';

const mark = (): string => globalThis.decimalMark?.() ?? '.';

/** Whether figures are said with a comma here. */
export const saysComma = (): boolean => mark() === ',';

/** A figure whose digits stand already. */
export const sayDigits = (digits: string): string => {
  const as = mark();
  return as === '.' ? digits : digits.replace('.', as);
};

/**
 * A figure in words, without trailing noughts: `12.5`, on a device that wants it so `12,5`. All that people read is said
 * by this and its neighbours; what a program reads (paths, files, keys) is not.
 * @param places decimals at most; as many as it has where none are said
 */
export const sayFigure = (value: number, places?: number): string =>
  sayDigits(String(places === undefined ? value : Number(value.toFixed(places))));

/** The same with so many decimals always, as in columns: `12.50`. */
export const sayFixed = (value: number, places: number): string => sayDigits(value.toFixed(places));

/** An entry as it was typed; one that is kept as a number is said like any other. */
export const sayEntry = (entry: number | string): string => (typeof entry === 'number' ? sayFigure(entry) : entry);

/**
 * Words by which a thing is known again, on whichever device they were said: figures in them with a point. A size of the
 * log is found by what it was called, and two devices at one lathe may write it each its own way.
 */
export const knownBy = (words: string): string => words.replaceAll(/(\d),(?=\d)/g, '$1.');

/** Words that were kept for any device, for the one that reads them. */
export const sayKept = (words: string): string => words.replaceAll(KEPT_MARK, mark());
