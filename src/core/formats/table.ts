import { dsvFormat } from 'd3-dsv';
import type { DecimalMark } from '../model/deviceSettings';

/** A cell of a table: words as they are, or a figure, which a device may want with a comma. */
export type Cell = string | { figure: string };

/** A figure for a table. @param places decimals, or as many as it has */
export const figure = (value: number | undefined, places?: number): Cell =>
  value === undefined ? '' : { figure: places === undefined ? String(value) : value.toFixed(places) };

const written = (cell: Cell, mark: DecimalMark): string => {
  if (typeof cell === 'string') return cell;
  return mark === 'comma' ? cell.figure.replace('.', ',') : cell.figure;
};

/** Rows as a text file that spreadsheets open (RFC 4180), its last line ended. */
export const tableText = (rows: readonly (readonly Cell[])[], mark: DecimalMark = 'point'): string =>
  `${dsvFormat(mark === 'comma' ? ';' : ',').formatRows(rows.map((row) => row.map((cell) => written(cell, mark))))}\n`;
