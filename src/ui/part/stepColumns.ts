import { sayEntry } from '@/core/model/units/mark';
import type { Part } from '@/core/model/part/part';
import { formatNominal } from '@/core/model/units/length';
import { byKeys } from '@/core/read/byKeys';
import type { RunFile, StepFile } from '@/core/read/runFile';
import { textIn } from './EntryFields';
import { kindOf, madeInto, SHAPES } from './kinds';

export const COLUMNS = ['diameter', 'length', 'front', 'back', 'roughness', 'name'] as const;
export type Column = (typeof COLUMNS)[number];

export const LABELS: Record<Column, string> = {
  diameter: 'Diameter',
  length: 'Length',
  front: 'Chamfer front',
  back: 'Chamfer back',
  roughness: 'Ra',
  name: 'Name',
};

/** The field of a shape that stands in the first column: its diameter, the front of a cone, the flats of a hexagon. */
export const mainOf = (step: StepFile): string =>
  kindOf(SHAPES, step.shape).fields.find(({ key }) => key !== 'length')?.key ?? 'diameter';

const fieldAt = (step: StepFile, column: Column): string => (column === 'diameter' ? mainOf(step) : column);

export const textOf = (step: StepFile, column: Column): string => {
  if (column === 'front' || column === 'back') return sayEntry(step.chamfers?.[column] ?? '');
  return textIn(byKeys(step), fieldAt(step, column));
};

export function write(step: StepFile, column: Column, text: string): void {
  if (column === 'front' || column === 'back') step.chamfers = { ...step.chamfers, [column]: text };
  else byKeys(step)[fieldAt(step, column)] = text;
}

/** Where a column of a step stands in the run file. */
export const pathOf = (step: StepFile | undefined, index: number, column: Column) =>
  `part.outside[${index}].${column === 'front' || column === 'back' ? `chamfers.${column}` : step ? fieldAt(step, column) : column}`;

/** What a shape has beyond the columns: the other figures of a cone. */
export const moreOf = (step: StepFile) =>
  kindOf(SHAPES, step.shape).fields.filter(({ key }) => key !== 'length' && key !== mainOf(step));

const KEEPS = ['name', 'roughness', 'critical', 'why', 'chamfers', 'length'];

/** What an empty length follows as from the lengths between faces. */
export function followsFrom({ part, units }: RunFile, sketch: Part | undefined, index: number): string {
  const step = (part.lengths ?? []).length > 0 ? sketch?.steps[index] : undefined;
  return step ? `= ${formatNominal(step.length.nominal, units)}` : '';
}

/** A step of another shape: its first figure goes with it, as a cylinder of 20 becomes a cone from 20. */
export function reshaped(step: StepFile, shape: string): StepFile {
  const kind = kindOf(SHAPES, shape);
  const main = kind.fields.find(({ key }) => key !== 'length')?.key ?? 'diameter';
  const figure = byKeys(step)[mainOf(step)];
  return madeInto({ ...step, ...(figure === undefined ? {} : { [main]: figure }) }, 'shape', kind, KEEPS);
}

/** What a column is called for a step: the first is the diameter, or what the shape has instead. */
export const labelAt = (step: StepFile, column: Column): string =>
  column === 'diameter'
    ? (kindOf(SHAPES, step.shape).fields.find(({ key }) => key === mainOf(step))?.label ?? LABELS.diameter)
    : LABELS[column];

/** The column or field that a path is about. */
export const wordOf = (step: StepFile, path: string): string => {
  const field = kindOf(SHAPES, step.shape).fields.find(({ key }) => path.endsWith(`.${key}`));
  const column = COLUMNS.find((name) => path.endsWith(name));
  return field ? `${field.label}:` : column ? `${LABELS[column]}:` : '';
};
