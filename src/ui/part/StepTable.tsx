'use client';
import { Plus, X } from 'lucide-react';
import { Fragment, useRef, type KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { emptyStep, type RunFile, type StepFile } from '@/core/read/runFile';
import type { Part } from '@/core/model/part/part';
import { formatNominal } from '@/core/model/units/length';
import { Button, IconButton } from '../primitives/Button';
import { Field } from '../primitives/Field';
import { isMissing, problemAt, useWorkspace } from '../run/WorkspaceContext';
import { EntryFields, RowSelect, textIn } from './EntryFields';
import { kindOf, madeInto, SHAPES } from './kinds';
import { EntryTable, Group } from './table';
import { byKeys } from '@/core/read/byKeys';

const COLUMNS = ['diameter', 'length', 'front', 'back', 'roughness', 'name'] as const;
type Column = (typeof COLUMNS)[number];

const LABELS: Record<Column, string> = {
  diameter: 'Diameter',
  length: 'Length',
  front: 'Chamfer front',
  back: 'Chamfer back',
  roughness: 'Ra',
  name: 'Name',
};
const WIDTHS: Record<Column, number | undefined> = {
  diameter: 100,
  length: 84,
  front: 58,
  back: 58,
  roughness: 54,
  name: undefined,
};

/** The field of a shape that stands in the first column: its diameter, the front of a cone, the flats of a hexagon. */
const mainOf = (step: StepFile): string =>
  kindOf(SHAPES, step.shape).fields.find(({ key }) => key !== 'length')?.key ?? 'diameter';

const fieldAt = (step: StepFile, column: Column): string => (column === 'diameter' ? mainOf(step) : column);

const textOf = (step: StepFile, column: Column): string => {
  if (column === 'front' || column === 'back') return String(step.chamfers?.[column] ?? '');
  return textIn(byKeys(step), fieldAt(step, column));
};

function write(step: StepFile, column: Column, text: string): void {
  if (column === 'front' || column === 'back') step.chamfers = { ...step.chamfers, [column]: text };
  else byKeys(step)[fieldAt(step, column)] = text;
}

/** Where a column of a step stands in the run file. */
const pathOf = (step: StepFile | undefined, index: number, column: Column) =>
  `part.outside[${index}].${column === 'front' || column === 'back' ? `chamfers.${column}` : step ? fieldAt(step, column) : column}`;

/** What a shape has beyond the columns: the other figures of a cone. */
const moreOf = (step: StepFile) =>
  kindOf(SHAPES, step.shape).fields.filter(({ key }) => key !== 'length' && key !== mainOf(step));

const KEEPS = ['name', 'roughness', 'critical', 'why', 'chamfers', 'length'];

/** The outside as a list of steps, read from the drawing front to back. Enter goes to the next step, and makes it. */
export function StepTable({ onMark }: { onMark: (path: string | undefined) => void }) {
  const { file, edit, problems, planned } = useWorkspace();
  const sketch = planned.answer?.sketch;
  const table = useRef<HTMLTableElement>(null);
  const { outside } = file.part;

  const go = (index: number, column: Column) =>
    table.current?.querySelector<HTMLInputElement>(`[data-step="${index}"] [data-column="${column}"] input`)?.focus();

  /** Changes the list and goes to a field of it at once: whoever types on must find it there. */
  const change = (recipe: (outside: StepFile[]) => void, index: number, column: Column) => {
    flushSync(() => edit(undefined, ({ part }) => recipe(part.outside)));
    go(index, column);
  };

  const insert = (index: number) => change((steps) => void steps.splice(index, 0, emptyStep()), index, 'diameter');
  const removeStep = (index: number) =>
    change((steps) => void steps.splice(index, 1), Math.max(0, index - 1), 'diameter');
  const move = (index: number, by: 1 | -1, column: Column) => {
    const to = index + by;
    if (to < 0 || to >= outside.length) return;
    change((steps) => void steps.splice(to, 0, ...steps.splice(index, 1)), to, column);
  };

  const onKey = (index: number, column: Column) => (event: KeyboardEvent) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      if (event.ctrlKey || index === outside.length - 1) insert(index + 1);
      else go(index + 1, 'diameter');
    } else if (event.ctrlKey && event.key.toLowerCase() === 'd') {
      event.preventDefault();
      change(
        (steps) => void steps.splice(index + 1, 0, structuredClone(outside[index] ?? emptyStep())),
        index + 1,
        column,
      );
    } else if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      move(index, event.key === 'ArrowUp' ? -1 : 1, column);
    }
  };

  return (
    <Group aria-labelledby="outside">
      <h2>
        <span id="outside">Outside</span>{' '}
        <small>front to back · 14 h8, 22 −0.1/0, 3/8 in · Ctrl+D copies a step, Alt+↑↓ moves it</small>
      </h2>
      <EntryTable ref={table}>
        <thead>
          <tr>
            <th aria-label="Step" />
            <th scope="col" style={{ width: 98 }}>
              Shape
            </th>
            {COLUMNS.map((column) => (
              <th key={column} scope="col" style={{ width: WIDTHS[column] }}>
                {column === 'front' ? 'Ch. fr.' : column === 'back' ? 'Ch. bk.' : LABELS[column]}
              </th>
            ))}
            <th scope="col" title="Critical">
              Crit.
            </th>
            <th aria-label="Remove" />
          </tr>
        </thead>
        <tbody>
          {outside.map((step, index) => {
            const wrong = problems.filter(
              (problem) => !isMissing(problem) && problem.path.startsWith(`part.outside[${index}]`),
            );
            return (
              <Fragment key={index}>
                <tr data-step={index} onFocus={() => onMark(`part.outside[${index}]`)} onBlur={() => onMark(undefined)}>
                  <td className="number">{index + 1}</td>
                  <td>
                    <RowSelect
                      aria-label={`Shape of step ${index + 1}`}
                      value={step.shape}
                      onChange={(event) =>
                        edit(undefined, ({ part }) => {
                          const own = part.outside[index];
                          if (own) part.outside[index] = reshaped(own, event.target.value);
                        })
                      }
                    >
                      {SHAPES.map(({ name, label }) => (
                        <option key={name} value={name}>
                          {label}
                        </option>
                      ))}
                    </RowSelect>
                  </td>
                  {COLUMNS.map((column) => (
                    <td key={column} data-column={column}>
                      <Field
                        label={`${labelAt(step, column)} of step ${index + 1}`}
                        labelHidden
                        problemElsewhere
                        plain={column === 'name'}
                        name={pathOf(step, index, column)}
                        value={textOf(step, column)}
                        {...(column === 'length' ? { placeholder: followsFrom(file, sketch, index) } : {})}
                        problem={problemAt(problems, pathOf(step, index, column))}
                        onChange={(text) =>
                          edit(pathOf(step, index, column), ({ part }) => {
                            const own = part.outside[index];
                            if (own) write(own, column, text);
                          })
                        }
                        onKeyDown={onKey(index, column)}
                      />
                    </td>
                  ))}
                  <td className="tick">
                    <input
                      type="checkbox"
                      aria-label={`Step ${index + 1} is critical`}
                      checked={step.critical ?? false}
                      onChange={(event) =>
                        edit(undefined, ({ part }) => {
                          const own = part.outside[index];
                          if (own) own.critical = event.target.checked;
                        })
                      }
                    />
                  </td>
                  <td>
                    <IconButton
                      aria-label={`Remove step ${index + 1}`}
                      onPress={() => removeStep(index)}
                      isDisabled={outside.length === 1}
                    >
                      <X size={16} aria-hidden />
                    </IconButton>
                  </td>
                </tr>
                {step.critical && (
                  <tr>
                    <td />
                    <td className="aside why">critical because</td>
                    <td colSpan={8}>
                      <Field
                        label={`Why step ${index + 1} is critical`}
                        labelHidden
                        plain
                        placeholder="what hangs on it: a bearing sits here, it locates the sensor …"
                        value={step.why ?? ''}
                        onChange={(text) =>
                          edit(`part.outside[${index}].why`, ({ part }) => {
                            const own = part.outside[index];
                            if (own) own.why = text;
                          })
                        }
                      />
                    </td>
                  </tr>
                )}
                {moreOf(step).length > 0 && (
                  <tr onFocus={() => onMark(`part.outside[${index}]`)} onBlur={() => onMark(undefined)}>
                    <td />
                    <td className="aside">to, or an angle</td>
                    <td colSpan={8}>
                      <EntryFields
                        fields={moreOf(step)}
                        entry={byKeys(step)}
                        path={`part.outside[${index}]`}
                        of={`step ${index + 1}`}
                        onText={(key, text) =>
                          edit(`part.outside[${index}].${key}`, ({ part }) => {
                            const typed = part.outside[index] && byKeys(part.outside[index]);
                            if (typed) typed[key] = text;
                          })
                        }
                        onKeyDown={onKey(index, 'diameter')}
                      />
                    </td>
                  </tr>
                )}
                {wrong.length > 0 && (
                  <tr className="wrong">
                    <td />
                    <td colSpan={9}>
                      {wrong.map(({ path, message }) => `${wordOf(step, path)} ${message}`).join(' · ')}
                    </td>
                  </tr>
                )}
              </Fragment>
            );
          })}
        </tbody>
      </EntryTable>
      <Button onPress={() => insert(outside.length)}>
        <Plus size={16} aria-hidden /> Step
      </Button>
    </Group>
  );
}

/** What an empty length follows as from the lengths between faces. */
function followsFrom({ part, units }: RunFile, sketch: Part | undefined, index: number): string {
  const step = (part.lengths ?? []).length > 0 ? sketch?.steps[index] : undefined;
  return step ? `= ${formatNominal(step.length.nominal, units)}` : '';
}

/** A step of another shape: its first figure goes with it, as a cylinder of 20 becomes a cone from 20. */
function reshaped(step: StepFile, shape: string): StepFile {
  const kind = kindOf(SHAPES, shape);
  const main = kind.fields.find(({ key }) => key !== 'length')?.key ?? 'diameter';
  const figure = byKeys(step)[mainOf(step)];
  return madeInto({ ...step, ...(figure === undefined ? {} : { [main]: figure }) }, 'shape', kind, KEEPS);
}

/** What a column is called for a step: the first is the diameter, or what the shape has instead. */
const labelAt = (step: StepFile, column: Column): string =>
  column === 'diameter'
    ? (kindOf(SHAPES, step.shape).fields.find(({ key }) => key === mainOf(step))?.label ?? LABELS.diameter)
    : LABELS[column];

/** The column or field that a path is about. */
const wordOf = (step: StepFile, path: string): string => {
  const field = kindOf(SHAPES, step.shape).fields.find(({ key }) => path.endsWith(`.${key}`));
  const column = COLUMNS.find((own) => path.endsWith(own));
  return field ? `${field.label}:` : column ? `${LABELS[column]}:` : '';
};
