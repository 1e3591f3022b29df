'use client';
import { X } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { byKeys } from '@/core/read/byKeys';
import type { StepFile } from '@/core/read/runFile';
import { IconButton } from '../primitives/Button';
import { Field } from '../primitives/Field';
import { isMissing, problemAt, useWorkspace, wasAt } from '../run/WorkspaceContext';
import { EntryFields, RowSelect } from './EntryFields';
import { SHAPES } from './kinds';
import {
  COLUMNS,
  followsFrom,
  labelAt,
  moreOf,
  pathOf,
  reshaped,
  textOf,
  wordOf,
  write,
  type Column,
} from './stepColumns';

export interface StepRowProps {
  step: StepFile;
  index: number;
  onMark: (path: string | undefined) => void;
  onKey: (column: Column) => (event: KeyboardEvent) => void;
  /** The last one stays. */
  onRemove: (() => void) | undefined;
}

/** Changes the step of a row, as one edit or as the typing in one field. */
function useStep(index: number) {
  const { edit } = useWorkspace();
  return (field: string | undefined, recipe: (step: StepFile) => void) =>
    edit(field, ({ part }) => {
      const step = part.outside[index];
      if (step) recipe(step);
    });
}

/** A step of the outside: its figures, and below them what its shape has beside, why it is critical, what is wrong. */
export function StepRow({ step, index, onMark, onKey, onRemove }: StepRowProps) {
  const { file, problems, planned, differs } = useWorkspace();
  const editStep = useStep(index);
  const path = `part.outside[${index}]`;
  const wrong = problems.filter((problem) => !isMissing(problem) && problem.path.startsWith(path));
  const marking = { onFocus: () => onMark(path), onBlur: () => onMark(undefined) };
  return (
    <>
      <tr data-step={index} {...marking}>
        <td className="number">{index + 1}</td>
        <td>
          <ShapeChoice step={step} index={index} />
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
              {...(column === 'length' ? { placeholder: followsFrom(file, planned.answer?.sketch, index) } : {})}
              problem={problemAt(problems, pathOf(step, index, column))}
              was={wasAt(differs, pathOf(step, index, column))}
              onChange={(text) => editStep(pathOf(step, index, column), (typed) => write(typed, column, text))}
              onKeyDown={onKey(column)}
            />
          </td>
        ))}
        <td className="tick">
          <input
            type="checkbox"
            aria-label={`Step ${index + 1} is critical`}
            checked={step.critical ?? false}
            onChange={(event) => editStep(undefined, (ticked) => void (ticked.critical = event.target.checked))}
          />
        </td>
        <td>
          <IconButton aria-label={`Remove step ${index + 1}`} onPress={() => onRemove?.()} isDisabled={!onRemove}>
            <X size={16} aria-hidden />
          </IconButton>
        </td>
      </tr>
      {step.critical && <CriticalRow step={step} index={index} />}
      {moreOf(step).length > 0 && (
        <tr {...marking}>
          <td />
          <td className="aside">to, or an angle</td>
          <td colSpan={8}>
            <EntryFields
              fields={moreOf(step)}
              entry={byKeys(step)}
              path={path}
              of={`step ${index + 1}`}
              onText={(key, text) => editStep(`${path}.${key}`, (typed) => void (byKeys(typed)[key] = text))}
              onKeyDown={onKey('diameter')}
            />
          </td>
        </tr>
      )}
      {wrong.length > 0 && (
        <tr className="wrong">
          <td />
          <td colSpan={9}>{wrong.map((problem) => `${wordOf(step, problem.path)} ${problem.message}`).join(' · ')}</td>
        </tr>
      )}
    </>
  );
}

function ShapeChoice({ step, index }: Pick<StepRowProps, 'step' | 'index'>) {
  const { edit } = useWorkspace();
  return (
    <RowSelect
      aria-label={`Shape of step ${index + 1}`}
      value={step.shape}
      onChange={(event) =>
        edit(undefined, ({ part }) => {
          const before = part.outside[index];
          if (before) part.outside[index] = reshaped(before, event.target.value);
        })
      }
    >
      {SHAPES.map(({ name, label }) => (
        <option key={name} value={name}>
          {label}
        </option>
      ))}
    </RowSelect>
  );
}

function CriticalRow({ step, index }: Pick<StepRowProps, 'step' | 'index'>) {
  const editStep = useStep(index);
  return (
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
          onChange={(text) => editStep(`part.outside[${index}].why`, (typed) => void (typed.why = text))}
        />
      </td>
    </tr>
  );
}
