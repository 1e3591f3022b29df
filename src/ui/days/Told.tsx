'use client';
import { useState } from 'react';
import { sayMinutes } from '@/core/model/units/show';
import type { Help } from '@/core/schedule/helps';
import type { Order } from '@/core/schedule/job';
import { Button } from '../primitives/Button';
import type { AtTheDays, Machine } from './useDays';
import { sayHelp, sayLate, sayShare } from './words';

/** How it stands in one line: what is planned, what is late, whether it is proven, what would help. */
export function Told({
  at: { runs, waiting, answer, days, isPlacing, proposed, wrong, helps, tryOrder, take },
  machines,
}: {
  at: AtTheDays;
  machines: readonly Machine[];
}) {
  const [helpful, setHelpful] = useState<Help[]>();
  const late = answer?.placed.filter((one) => one.late > 0) ?? [];
  const isPromised = (id: number) => runs?.find((run) => run.id === id)?.due !== '';
  const unsure =
    answer?.promised.filter(
      ({ job, kept }) => kept < days.sureFrom && isPromised(job) && !late.some((one) => one.job === job),
    ) ?? [];
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
          {late.length === 0
            ? 'Every promise is kept as planned'
            : `Late as planned: ${late.map(({ job }) => numberOf(job)).join(', ')}`}
          ; making ready {sayMinutes(answer.worth[1])}.{' '}
          {answer.proven
            ? 'No order is better.'
            : answer.worth[0] > answer.lateAtLeast + 1
              ? `It is not proven; at most ${sayLate(answer.worth[0] - answer.lateAtLeast)} of lateness could be saved.`
              : 'No order is less late.'}
          {days.order.length === 0 && answer.placed.length > 0 && !proposed && (
            <>
              {' '}
              It is not taken yet: <Button onPress={() => void take(answer.order)}>Take this order</Button>
            </>
          )}
          {answer.nowhere.length > 0 && ` Made nowhere: ${answer.nowhere.map(numberOf).join(', ')}.`}{' '}
        </p>
      )}
      {answer && (late.length > 0 || unsure.length > 0) && (
        <p>
          {unsure.length > 0 &&
            `In doubt: ${unsure.map(({ job, kept }) => `${numberOf(job)}, kept ${sayShare(kept)}`).join('; ')}. `}
          {!proposed && !helpful && <Button onPress={() => void helps().then(setHelpful)}>What would help …</Button>}
        </p>
      )}
      {helpful && (
        <Helpful
          {...{ helpful, numberOf, machines }}
          onTry={(words, order) => {
            setHelpful(undefined);
            void tryOrder(words, order);
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
  onTry: (words: string, order: Order) => void;
}

/** What would keep more promises, the most helpful first; what is an order can be looked at. */
function Helpful({ helpful, numberOf, machines, onTry }: HelpfulProps) {
  const nameOf = (lathe: string) => machines.find(({ id }) => id === lathe)?.name ?? lathe;
  if (helpful.length === 0)
    return (
      <p>Neither another order, overtime, another lathe, two halves at once nor buying in would keep more promises.</p>
    );
  return (
    <ul aria-label="What would help" style={{ display: 'grid', gap: 4, margin: '6px 0' }}>
      {helpful.map(({ what, moreKept, order }) => {
        const words = sayHelp(what, numberOf, nameOf);
        return (
          <li key={words}>
            {words}: {moreKept.toFixed(1)} promises more kept.{' '}
            {order && <Button onPress={() => onTry(words, order)}>Try it</Button>}
          </li>
        );
      })}
    </ul>
  );
}
