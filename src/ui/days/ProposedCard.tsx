'use client';
import type { DaysAnswer } from '@/core/schedule/answer';
import type { DaysFile } from '@/core/schedule/days';
import { partNamed } from '@/core/schedule/fromRuns';
import type { RunToMake } from '@/core/schedule/runToMake';
import { sayMinutes } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import type { Proposed } from './useDays';
import { sayJob, sayLate } from './words';

interface Props {
  proposed: Proposed;
  answer: DaysAnswer;
  runs: readonly RunToMake[];
  days: DaysFile;
  onTake: () => void;
  onLeave: () => void;
}

/** What a move would do, before it is taken: who is later, who is earlier, making ready. */
export function ProposedCard({ proposed, answer: now, runs, days, onTake, onLeave }: Props) {
  const { words, order, answer: then } = proposed;
  const split = proposed.days ?? days;
  const was = new Map(now.placed.map((one) => [one.job, one]));
  const changes = (then?.placed ?? []).flatMap((one) => {
    const by = one.delivered - (was.get(one.job)?.delivered ?? one.delivered);
    return Math.abs(by) > 30
      ? [{ job: one.job, by, late: one.late > 0, wasLate: (was.get(one.job)?.late ?? 0) > 0 }]
      : [];
  });
  const problem = Object.entries(order).flatMap(([lathe, ids]) =>
    ids.flatMap((id) => {
      const on = partNamed(id, runs, split)?.run.lathes?.find((one) => one.lathe === lathe);
      return on && 'problem' in on ? [on.problem] : [];
    }),
  )[0];
  const ready = then ? then.worth.ready - now.worth.ready : 0;
  return (
    <Card aria-labelledby="proposed" role="status">
      <h2 id="proposed">{words}?</h2>
      {then ? (
        <>
          <p>
            {Math.abs(ready) < 0.5
              ? 'Making ready stays as long.'
              : `${ready > 0 ? 'More' : 'Less'} making ready: ${sayMinutes(Math.abs(ready))}.`}{' '}
            {changes.length === 0 && 'Nothing else moves by more than half an hour.'}
          </p>
          <ul>
            {changes.map(({ job, by, late, wasLate }) => (
              <li key={job}>
                {sayJob(job, runs, split)} {sayLate(Math.abs(by))} {by > 0 ? 'later' : 'earlier'}
                {late && !wasLate && <b> and late by that</b>}
                {!late && wasLate && <b> and in time by that</b>}
              </li>
            ))}
          </ul>
        </>
      ) : (
        <p>
          It cannot be so: {problem ?? 'it would wait for a run behind it, or the hours of that lathe do not reach'}.
        </p>
      )}
      <div style={{ display: 'flex', gap: 8, marginTop: 10 }}>
        <Button $strong autoFocus isDisabled={!then} onPress={onTake}>
          Take it
        </Button>
        <Button onPress={onLeave}>Leave it</Button>
      </div>
    </Card>
  );
}
