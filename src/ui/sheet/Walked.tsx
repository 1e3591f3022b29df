'use client';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { walkedTime, walkedWork } from '@/core/present/walked';

interface Props {
  plan: Plan;
  planned: PlannedSetup;
  operation: TimedOperation | undefined;
  /** How far the work is drawn, mm. */
  upTo: number;
}

/** What the drawing and its time lane show, as lists for who hears the sheet: the drawing itself is one picture to them. */
export function Walked({ plan, planned, operation, upTo }: Props) {
  const work = operation?.after ?? planned.start;
  return (
    <section className="unseen" aria-label="Work and time in words">
      <h2>The work {operation ? `after ${operation.number} ${operation.name}` : 'as it is put in'}</h2>
      <ol aria-label="The work from its free end">
        {walkedWork(work, upTo, planned.setup.run.units).map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ol>
      <h2>The time of a piece</h2>
      <ol aria-label="The time of a piece">
        {walkedTime(plan).map(({ words, operations }) => (
          <li key={words}>
            {words}
            <ol>
              {operations.map(({ key, words: minutes }) => (
                <li key={key} aria-current={key === operation?.key || undefined}>
                  {minutes}
                </li>
              ))}
            </ol>
          </li>
        ))}
      </ol>
    </section>
  );
}
