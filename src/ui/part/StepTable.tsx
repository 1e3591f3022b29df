'use client';
import { Plus, X } from 'lucide-react';
import { Fragment, useRef, type KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { sizeText } from '@/core/part/size';
import { emptyStep, type StepFile } from '@/core/formats/runFile';
import { Button, IconButton } from '../primitives/Button';
import { Field } from '../primitives/Field';
import { isMissing, problemAt, useWorkspace } from '../run/WorkspaceContext';
import { EntryTable, Group } from './table';

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
  diameter: 126,
  length: 112,
  front: 58,
  back: 58,
  roughness: 56,
  name: undefined,
};

const textOf = (step: StepFile, column: Column): string => {
  if (column === 'diameter' || column === 'length') return sizeText(step[column]);
  if (column === 'front' || column === 'back') return String(step.chamfers?.[column] ?? '');
  return String(step[column] ?? '');
};

function write(step: StepFile, column: Column, text: string): void {
  if (column === 'front' || column === 'back') step.chamfers = { ...step.chamfers, [column]: text };
  else if (column === 'roughness' || column === 'name') step[column] = text;
  else step[column] = text;
}

const pathOf = (index: number, column: Column) =>
  `part.outside[${index}].${column === 'front' || column === 'back' ? `chamfers.${column}` : column}`;

/** The outside as a list of steps, read from the drawing front to back. Enter goes to the next step, and makes it. */
export function StepTable({ onMark }: { onMark: (path: string | undefined) => void }) {
  const { file, edit, problems } = useWorkspace();
  const table = useRef<HTMLTableElement>(null);
  const { outside } = file.part;

  const go = (index: number, column: Column) =>
    table.current?.querySelector<HTMLInputElement>(`[name="${pathOf(index, column)}"]`)?.focus();

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
    } else if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      move(index, event.key === 'ArrowUp' ? -1 : 1, column);
    }
  };

  return (
    <Group aria-labelledby="outside">
      <h2>
        <span id="outside">Outside</span> <small>front to back, a line per step · 14 h8, 22 −0.1/0, 3/8 in</small>
      </h2>
      <EntryTable ref={table}>
        <thead>
          <tr>
            <th aria-label="Step" />
            {COLUMNS.map((column) => (
              <th key={column} scope="col" style={{ width: WIDTHS[column] }}>
                {column === 'front' ? 'Ch. front' : column === 'back' ? 'Ch. back' : LABELS[column]}
              </th>
            ))}
            <th scope="col">Critical</th>
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
                <tr onFocus={() => onMark(`part.outside[${index}]`)} onBlur={() => onMark(undefined)}>
                  <td className="number">{index + 1}</td>
                  {COLUMNS.map((column) => (
                    <td key={column}>
                      <Field
                        label={`${LABELS[column]} of step ${index + 1}`}
                        labelHidden
                        problemElsewhere
                        plain={column === 'name'}
                        name={pathOf(index, column)}
                        value={textOf(step, column)}
                        problem={problemAt(problems, pathOf(index, column))}
                        onChange={(text) =>
                          edit(pathOf(index, column), ({ part }) => {
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
                {wrong.length > 0 && (
                  <tr className="wrong">
                    <td />
                    <td colSpan={8}>{wrong.map(({ path, message }) => `${wordOf(path)} ${message}`).join(' · ')}</td>
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

/** The column that a path is about. */
const wordOf = (path: string): string => {
  const column = COLUMNS.find((own) => path.endsWith(own));
  return column ? `${LABELS[column]}:` : '';
};
