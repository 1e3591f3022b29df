'use client';
import { sayFigure } from '@/core/model/units/mark';
import { Plus } from 'lucide-react';
import { useRef, type KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { emptyStep, type StepFile } from '@/core/read/runFile';
import { Button } from '../primitives/Button';
import { useWorkspace } from '../run/WorkspaceContext';
import { COLUMNS, LABELS, type Column } from './stepColumns';
import { StepRow } from './StepRow';
import { EntryTable, Group } from './table';

const WIDTHS: Record<Column, number | undefined> = {
  diameter: 100,
  length: 84,
  front: 58,
  back: 58,
  roughness: 54,
  name: undefined,
};

const StepHeads = () => (
  <thead>
    <tr>
      <th scope="col">
        <span className="unseen">Step</span>
      </th>
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
      <th scope="col">
        <span className="unseen">Remove</span>
      </th>
    </tr>
  </thead>
);

/** The outside as a list of steps, read from the drawing front to back. Enter goes to the next step, and makes it. */
export function StepTable({ onMark }: { onMark: (path: string | undefined) => void }) {
  const { file, edit } = useWorkspace();
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
        <small>front to back · 14 h8, 22 −{sayFigure(0.1)}/0, 3/8 in · Ctrl+D copies a step, Alt+↑↓ moves it</small>
      </h2>
      <EntryTable ref={table}>
        <StepHeads />
        <tbody>
          {outside.map((step, index) => (
            <StepRow
              key={index}
              step={step}
              index={index}
              onMark={onMark}
              onKey={(column) => onKey(index, column)}
              onRemove={outside.length > 1 ? () => removeStep(index) : undefined}
            />
          ))}
        </tbody>
      </EntryTable>
      <Button onPress={() => insert(outside.length)}>
        <Plus size={16} aria-hidden /> Step
      </Button>
    </Group>
  );
}
