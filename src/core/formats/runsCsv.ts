import { dsvFormat } from 'd3-dsv';
import Joi from 'joi';
import type { Problem, Result } from '../model/result';
import { checkShape } from '../read/problems';
import { readQuantity } from '../read/readRun';

/** What a list of runs may say of each, and how its columns are usually headed. */
export const RUN_COLUMNS = {
  number: { words: 'Part number', heads: /part|number|item|article/i },
  quantity: { words: 'Quantity', heads: /quantity|qty|pieces|pcs|off/i },
  due: { words: 'Promised for', heads: /due|date|promised|wanted|delivery/i },
  customer: { words: 'Customer', heads: /customer|client|for whom/i },
  order: { words: 'Their order', heads: /order|p\.?o\.?/i },
  note: { words: 'Note', heads: /note|remark|comment/i },
} as const;
export type RunColumn = keyof typeof RUN_COLUMNS;

/** A run that a list asks for. */
export interface RunRow {
  number: string;
  quantity: number;
  due?: string;
  customer?: string;
  order?: string;
  note?: string;
}

/** A list as it was brought: the words over its columns, and its rows. */
export interface BroughtList {
  heads: string[];
  rows: string[][];
}

const SEPARATORS = [',', ';', '\t'];

/** Takes a list apart by whichever of comma, semicolon and tab its first line has most of; empty rows are left out. */
export function readList(text: string): BroughtList {
  const first = text.slice(0, text.search(/\r?\n|$/u));
  const by = SEPARATORS.toSorted((a, b) => first.split(b).length - first.split(a).length)[0] ?? ',';
  const [heads = [], ...rows] = dsvFormat(by)
    .parseRows(text.replace(/^\uFEFF/u, ''))
    .map((row) => row.map((cell) => cell.trim()))
    .filter((row) => row.some((cell) => cell !== ''));
  return { heads, rows };
}

/** Which column says what, by what is written over it; each column once. */
export function guessedColumns(heads: readonly string[]): Partial<Record<RunColumn, number>> {
  const taken = new Set<number>();
  const guessed: Partial<Record<RunColumn, number>> = {};
  // “Order number” is an order, “order date” a day: what is narrower is looked for first.
  for (const column of ['quantity', 'due', 'customer', 'order', 'note', 'number'] as const) {
    const at = heads.findIndex((head, index) => !taken.has(index) && RUN_COLUMNS[column].heads.test(head));
    if (at < 0) continue;
    taken.add(at);
    guessed[column] = at;
  }
  return guessed;
}

/** A day as lists have it: 2026-12-04, or 4.12.2026. With strokes it could be two days, and is not guessed. */
function dayOf(text: string): string | undefined {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/u.exec(text);
  const dotted = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/u.exec(text);
  const [year, month, day] = iso ? [iso[1], iso[2], iso[3]] : dotted ? [dotted[3], dotted[2], dotted[1]] : [];
  if (year === undefined) return undefined;
  const written = `${year}-${(month ?? '').padStart(2, '0')}-${(day ?? '').padStart(2, '0')}`;
  const at = new Date(`${written}T00:00:00Z`);
  return Number.isNaN(at.getTime()) || at.toISOString().slice(0, 10) !== written ? undefined : written;
}

/** The runs that a list asks for, or what is wrong, row by row (`rows[2].due`). */
export function runsOf(
  { rows }: BroughtList,
  columns: Partial<Record<RunColumn, number>>,
): { runs: RunRow[]; problems: Problem[] } {
  const problems: Problem[] = [];
  if (columns.number === undefined)
    problems.push({ path: 'columns.number', message: 'which column has the part numbers?' });
  if (columns.quantity === undefined)
    problems.push({ path: 'columns.quantity', message: 'which column has the quantities?' });
  const runs = rows.map((row, index): RunRow => {
    const cell = (column: RunColumn) => (columns[column] === undefined ? '' : (row[columns[column]] ?? ''));
    const wrong = (column: RunColumn, message: string) => problems.push({ path: `rows[${index}].${column}`, message });
    const [number, due] = [cell('number'), cell('due')];
    if (columns.number !== undefined && number === '') wrong('number', 'has no part number');
    const quantity = readQuantity(cell('quantity'));
    if (columns.quantity !== undefined && !quantity.ok)
      wrong('quantity', quantity.problems[0]?.message ?? 'is no quantity');
    const day = due === '' ? undefined : dayOf(due);
    if (due !== '' && day === undefined)
      wrong('due', `“${due}” is no day that can be told: write it as 2026-12-04 or 4.12.2026`);
    const words = (column: 'customer' | 'order' | 'note') => (cell(column) === '' ? {} : { [column]: cell(column) });
    return {
      number,
      quantity: quantity.ok ? quantity.value : 0,
      ...(day === undefined ? {} : { due: day }),
      ...words('customer'),
      ...words('order'),
      ...words('note'),
    };
  });
  if (rows.length === 0) problems.push({ path: 'rows', message: 'the list has no row under its heads' });
  return { runs, problems };
}

const text = (most: number) => Joi.string().max(most);

const rowsSchema = Joi.object<{ rows: RunRow[] }>({
  rows: Joi.array()
    .min(1)
    .max(500)
    .items(
      Joi.object({
        number: text(60).required(),
        quantity: Joi.number().integer().min(1).max(1_000_000).required(),
        due: Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/u),
        customer: text(120),
        order: text(120),
        note: text(2000),
      }),
    )
    .required(),
}).required();

/** Reads rows as they are sent to be made. */
export const readRunRows = (value: unknown): Result<{ rows: RunRow[] }> => checkShape(rowsSchema, value);
