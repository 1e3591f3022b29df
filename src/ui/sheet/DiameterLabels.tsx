'use client';
import { memo, useRef, useState } from 'react';
import styled from 'styled-components';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { turns } from '@/core/plan/operations/turned';
import { formatNominal } from '@/core/model/units/length';
import { spreadInRows } from '@/core/drawing/layout';
import { Balloon } from '../primitives/Balloon';
import { Field } from '../primitives/Field';
import { labelAt, pathOf, textOf, write } from '../part/stepColumns';
import { problemAt, useWorkspace } from '../run/WorkspaceContext';
import { JAWS, LABEL, type SheetLayout } from './sheetLayout';

interface Props {
  planned: PlannedSetup;
  layout: SheetLayout;
  operation: TimedOperation | undefined;
  onSelect: (key: string) => void;
}

const Label = styled.button`
  position: absolute;
  transform: translate(-50%, -50%);
  min-height: 24px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 5px;
  background: var(--sheet);
  color: var(--ink);
  font: 600 14px var(--mono);
  white-space: nowrap;
  cursor: pointer;
  &:hover {
    border-color: var(--ink-soft);
    background: var(--hover);
  }
  &[data-selected] {
    color: var(--blue);
    border-color: var(--blue);
    background: var(--blue-soft);
  }
  @media (pointer: coarse) {
    min-height: 40px;
  }
`;

const stepIndexOf = (path: string) => Number(/\[(\d+)\]/.exec(path)?.[1]);

/** The diameters on the drawing: press one to change it. They lie over the drawing as real buttons. */
export const DiameterLabels = memo(function DiameterLabels({ planned, layout, operation, onSelect }: Props) {
  const { setup } = planned;
  const { x, y, work } = layout;
  // One pane for all of them: there are as many labels as steps.
  const [open, setOpen] = useState<string>();
  const pressed = useRef<HTMLButtonElement | null>(null);
  const inside = setup.part.steps.map(({ zFrom, zTo }) => x((zFrom + zTo) / 2));
  const { labels } = layout;
  const at = spreadInRows(inside, LABEL, labels.from, labels.upTo, labels.rows);
  const above = y(setup.stock.over / 2) - 17;
  const overJaws = y(setup.holding.diameter / 2) - JAWS - 14;
  const topAt = (left: number, row: number) => {
    // Rows are rows: where there are several, all of them keep clear of the jaws.
    const isOverJaws = labels.rows > 1 || left < x(setup.holding.from) + 30;
    const over = isOverJaws ? Math.min(above, overJaws) : above;
    return Math.max(16 + (labels.rows - 1 - row) * labels.step, over - row * labels.step);
  };
  return (
    <>
      {setup.part.steps.map(({ path, zFrom, zTo, ...step }, index) => {
        // Of a recess the drawing gives the bottom, and the step is what is turned over it.
        const recess = setup.part.features.find((feature) => feature.path === path && feature.kind === 'recess');
        const diameter = recess?.size ?? step.diameter;
        const width = x(zFrom) - x(zTo);
        const roomy =
          width > 84 &&
          (diameter.nominal / 2) * layout.pixelsPerMm > 34 &&
          (work.whole || (diameter.nominal / 2) * layout.pixelsPerMm > 44);
        const place = at[index] ?? { at: inside[index] ?? 0, row: 0 };
        const name = `⌀${formatNominal(diameter.nominal, setup.run.units)}${diameter.fit ? ` ${diameter.fit}` : ''}`;
        return (
          <Label
            key={path}
            type="button"
            style={{
              left: roomy ? inside[index] : place.at,
              top: roomy ? y(diameter.nominal / 2) + 20 : topAt(place.at, place.row),
            }}
            aria-label={`${name}, change this diameter`}
            aria-haspopup="dialog"
            aria-expanded={open === path}
            {...(operation && turns(operation, path) ? { 'data-selected': '' } : {})}
            onClick={({ currentTarget }) => {
              pressed.current = currentTarget;
              setOpen(path);
              const made = planned.operations.findLast((made) => turns(made, path))?.key;
              if (made) onSelect(made);
            }}
          >
            {name}
          </Label>
        );
      })}
      {open !== undefined && (
        <Balloon
          label={`Diameter of step ${stepIndexOf(open) + 1}`}
          triggerRef={pressed}
          isOpen
          onOpenChange={(next) => next || setOpen(undefined)}
        >
          <DiameterEntry path={open} onDone={() => setOpen(undefined)} />
        </Balloon>
      )}
    </>
  );
});

/** The field of a diameter: it alone follows what is typed, the labels wait for the plan. */
function DiameterEntry({ path, onDone }: { path: string; onDone: () => void }) {
  const { file, edit, problems } = useWorkspace();
  const index = stepIndexOf(path);
  const step = file.part.outside[index];
  if (!step) return null;
  const field = pathOf(step, index, 'diameter');
  return (
    <div style={{ width: 240 }}>
      <Field
        label={`${labelAt(step, 'diameter')} of step ${index + 1}`}
        autoFocus
        value={textOf(step, 'diameter')}
        problem={problemAt(problems, field)}
        onChange={(text) =>
          edit(field, ({ part }) => {
            const typed = part.outside[index];
            if (typed) write(typed, 'diameter', text);
          })
        }
        onKeyDown={(event) => {
          if (event.key === 'Enter') onDone();
        }}
      />
      <p style={{ marginTop: 8, color: 'var(--ink-soft)', fontSize: 13 }}>
        The plan follows as you type. Enter closes; undo takes it back.
      </p>
    </div>
  );
}
