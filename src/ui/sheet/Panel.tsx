'use client';
import { memo, useEffect, useRef, type ComponentType } from 'react';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { operationView } from '@/core/present/operation';
import { CheckPart } from './CheckPart';
import { CutPart } from './CutPart';
import { Card, Mind } from './panelParts';
import { SetPart } from './SetPart';
import { SetupPanel } from './SetupPanel';
import type { OrderEdits } from './useOrder';
import { WhyPart } from './WhyPart';

interface Props {
  plan: Plan;
  planned: PlannedSetup;
  operation: TimedOperation | undefined;
  pass: number | undefined;
  onPass: (pass: number) => void;
  edits: OrderEdits;
  /** What is written to the operation. */
  note?: ComponentType<{ operation: string }>;
}

/** Where the panel stands below the sheet, and a finger chooses. */
const BELOW = '(max-width: 980px) and (pointer: coarse)';

/** Everything about the selected operation, always in the same parts: Set, Cut, Check, a note, Why, Mind. */
export const Panel = memo(function Panel({ operation, ...props }: Props) {
  return operation ? (
    <OperationPanel operation={operation} {...props} />
  ) : (
    <SetupPanel plan={props.plan} planned={props.planned} edits={props.edits} />
  );
});

function OperationPanel({
  plan,
  planned,
  operation,
  pass,
  onPass,
  edits,
  note: Note,
}: Props & { operation: TimedOperation }) {
  const view = operationView(planned, operation);
  const head = useRef<HTMLElement>(null);
  // Tapped on a tablet or a phone, an operation is shown: its panel is further down than the screen.
  useEffect(() => {
    if (window.matchMedia(BELOW).matches) head.current?.scrollIntoView({ block: 'start' });
  }, [operation.key]);
  return (
    <Card aria-label="Selected operation">
      <header ref={head}>
        <h2>
          {operation.number} {operation.name}
        </h2>
        <p>
          set-up {planned.setup.number} · {operation.tool.name}
          {operation.tool.place !== undefined && `, place ${operation.tool.place}`}
        </p>
      </header>
      <SetPart planned={planned} operation={operation} view={view} />
      <CutPart planned={planned} operation={operation} view={view} pass={pass} onPass={onPass} />
      <CheckPart checks={view.checks} />
      {Note && <Note operation={operation.key} />}
      <WhyPart plan={plan} planned={planned} operation={operation} edits={edits} />
      <Mind warnings={operation.warnings} cautions={operation.cautions} />
    </Card>
  );
}
