'use client';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { sayMinutes } from '@/core/model/units/show';
import { stopOf } from '@/core/present/stop';

interface Props {
  plan: Plan;
  planned: PlannedSetup;
  operation: TimedOperation | undefined;
  settled: boolean;
}

/** What somebody who hears the sheet is told by itself: which operation is chosen and where it stops, and what a changed plan takes. */
export function Announced({ plan, planned, operation, settled }: Props) {
  const stop = operation && stopOf(planned, operation);
  const at = stop ? `, ${stop.words}, at ${stop.settings[0]?.text ?? ''}` : '';
  const chosen = operation ? `${operation.number} ${operation.name}${at}` : `Set-up ${planned.setup.number}`;
  return (
    <>
      <p className="unseen" aria-live="polite">
        {chosen}
      </p>
      <p className="unseen" aria-live="polite">
        {settled &&
          `Planned: ${sayMinutes(plan.times.piece.value)} a piece, batch ${sayMinutes(plan.times.batch.value)}`}
      </p>
    </>
  );
}
