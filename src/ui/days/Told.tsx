'use client';
import { sayFixed } from '@/core/model/units/mark';
import { useState } from 'react';
import { sayMinutes } from '@/core/model/units/show';
import type { DaysFile } from '@/core/schedule/days';
import type { Help } from '@/core/schedule/helps';
import type { Order } from '@/core/schedule/job';
import { Button } from '../primitives/Button';
import type { AtTheDays, Machine } from './useDays';
import { sayHelp, sayJob, sayLate, sayMoment, sayShare } from './words';

/** How it stands in one line: what is planned, what is late, whether it is proven, what would help. */
export function Told({
  at: { runs, waiting, answer, days, placedBy, isPlacing, proposed, wrong, helps, tryOrder, take, today },
  machines,
}: {
  at: AtTheDays;
  machines: readonly Machine[];
}) {
  const [helpful, setHelpful] = useState<Help[]>();
  const late = [...new Set(answer?.placed.filter((one) => one.late > 0).map(({ run }) => run))];
  const missed = answer?.placed.filter((one) => one.missed > 0) ?? [];
  const isPromised = (id: number) => runs?.find((run) => run.id === id)?.due !== '';
  const unsure =
    answer?.promised.filter(({ run, kept }) => kept < days.sureFrom && isPromised(run) && !late.includes(run)) ?? [];
  const numberOf = (id: number) => runs?.find((run) => run.id === id)?.number ?? '';
  return (
    <div
      role="status"
      className="screen-only"
      style={{ marginBottom: 10 }}
      aria-busy={!runs || waiting > 0 || !answer || isPlacing}
    >
      {!runs && <p>Looking up what is to be made …</p>}
      {runs && waiting > 0 && (
        <p>
          {runs.length - waiting} of {runs.length} runs are planned on every lathe
          {answer && '; until all are, they stand by what they took before'} …
        </p>
      )}
      {wrong && <p style={{ color: 'var(--oxide)' }}>Not kept: {wrong}</p>}
      {answer && (
        <p>
          {late.length === 0 ? 'Every promise is kept as planned' : `Late as planned: ${late.map(numberOf).join(', ')}`}
          ; making ready {sayMinutes(answer.worth.ready)}.{' '}
          {answer.proven
            ? 'No order is better.'
            : answer.worth.late > answer.lateAtLeast + 1
              ? `It is not proven; at most ${sayLate(answer.worth.late - answer.lateAtLeast)} of lateness could be saved.`
              : 'No order is less late.'}
          {days.order.length === 0 && answer.placed.length > 0 && !proposed && (
            <>
              {' '}
              It is not taken yet: <Button onPress={() => void take(answer)}>Take this order</Button>
            </>
          )}
          {answer.nowhere.length > 0 &&
            ` Made nowhere: ${answer.nowhere.map((id) => sayJob(id, runs ?? [], placedBy)).join('; ')}.`}
          {missed.map(
            ({ job, start }) =>
              ` ${sayJob(job, runs ?? [], placedBy)} is pinned to a day before it can begin, ${sayMoment(today, start)}.`,
          )}{' '}
        </p>
      )}
      {answer && (late.length > 0 || unsure.length > 0) && (
        <p>
          {unsure.length > 0 &&
            `In doubt: ${unsure.map(({ run, kept }) => `${numberOf(run)}, kept ${sayShare(kept)}`).join('; ')}. `}
          {!proposed && !helpful && <Button onPress={() => void helps().then(setHelpful)}>What would help …</Button>}
        </p>
      )}
      {helpful && (
        <Helpful
          {...{ helpful, numberOf, machines }}
          onTry={(words, order, other) => {
            setHelpful(undefined);
            void tryOrder(words, order, other);
          }}
        />
      )}
    </div>
  );
}

interface HelpfulProps {
  helpful: readonly Help[];
  numberOf: (run: number) => string;
  machines: readonly Machine[];
  onTry: (words: string, order: Order, days?: DaysFile) => void;
}

/** What would keep more promises, the most helpful first; what is an order can be looked at. */
function Helpful({ helpful, numberOf, machines, onTry }: HelpfulProps) {
  const nameOf = (lathe: string) => machines.find(({ id }) => id === lathe)?.name ?? lathe;
  if (helpful.length === 0)
    return (
      <p>Neither another order, overtime, another lathe, two parts at once nor buying in would keep more promises.</p>
    );
  return (
    <ul aria-label="What would help" style={{ display: 'grid', gap: 4, margin: '6px 0' }}>
      {helpful.map(({ what, moreKept, order, days }) => {
        const words = sayHelp(what, numberOf, nameOf);
        return (
          <li key={words}>
            {words}: {sayFixed(moreKept, 1)} promises more kept.{' '}
            {order && <Button onPress={() => onTry(words, order, days)}>Try it</Button>}
          </li>
        );
      })}
    </ul>
  );
}
