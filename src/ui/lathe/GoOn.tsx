'use client';
import { formatDistanceToNow } from 'date-fns';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { capital } from '@/core/model/words';
import { formatLength } from '@/core/model/units/length';
import { stopPlace } from '@/core/present/nextCut';
import { pinWords } from '@/core/present/stop';
import { Facts } from './parts';
import type { AtTheLathe } from './useHappened';

/** A run that was left in the middle: what is in the chuck, what stands where, and what to check before it goes on. */
export function GoOn({ plan, planned, lathe }: { plan: Plan; planned: PlannedSetup; lathe: AtTheLathe }) {
  const { paused, at, good, toMake, moved, sizes } = lathe.progress;
  const { units } = plan.run;
  if (!paused || !at) return null;
  const step = planned.operations.find(({ key }) => key === at.operation);
  const measured = [...sizes.values()].flatMap((readings) => readings.at(-1) ?? []);
  return (
    <>
      <h2 style={{ fontSize: 28, marginBottom: 10 }}>
        Stopped {formatDistanceToNow(new Date(paused.since))} ago{paused.note ? `: ${paused.note}` : ''}
      </h2>
      <Facts>
        <div>
          <dt>In the chuck</dt>
          <dd data-words>
            piece {at.piece}
            <small>
              {good} of {toMake} are good
            </small>
          </dd>
        </div>
        <div>
          <dt>Next</dt>
          <dd data-words>
            {step ? step.number : 'load'}
            <small>{step ? step.name : 'put it in'}</small>
          </dd>
        </div>
        <div>
          <dt>Held</dt>
          <dd data-words>
            {capital(planned.setup.holding.words)}
            <small>on {planned.setup.holding.on}</small>
          </dd>
        </div>
      </Facts>
      <h3 style={{ margin: '16px 0 6px', fontSize: 19 }}>Check first</h3>
      <ol style={{ display: 'grid', gap: 6, fontSize: 18 }}>
        <li>1. The work sits and is clamped; jaws and slides are where they were.</li>
        <li>2. Touch the face again with the tool in the post: the read-out may have lost its zero.</li>
        {planned.pins
          .filter(({ axis }) => axis !== 'quill')
          .map((pin) => {
            const by = moved.get(stopPlace(planned, pin)) ?? 0;
            return (
              <li key={pin.letter} style={{ paddingLeft: 22 }}>
                {pinWords(pin, units)} at <b>{formatLength(pin.setting + by, units, pin.fine)}</b>
              </li>
            );
          })}
        {measured.length > 0 && (
          <li>
            3. Measure the piece before the next cut; the last were{' '}
            {measured.map(({ what, size }) => `${what} ${formatLength(size, units, true)}`).join(', ')}.
          </li>
        )}
      </ol>
    </>
  );
}
