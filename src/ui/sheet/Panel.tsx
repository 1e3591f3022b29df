'use client';
import { memo } from 'react';
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
}

/** Everything about the selected operation, always in the same five parts: Set, Cut, Check, Why, Mind. */
export const Panel = memo(function Panel({ plan, planned, operation, pass, onPass, edits }: Props) {
  if (!operation) return <SetupPanel plan={plan} planned={planned} edits={edits} />;
  const view = operationView(planned, operation);
  return (
    <Card aria-label="Selected operation">
      <header>
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
      <WhyPart plan={plan} planned={planned} operation={operation} edits={edits} />
      <Mind warnings={operation.warnings} cautions={operation.cautions} />
    </Card>
  );
});
