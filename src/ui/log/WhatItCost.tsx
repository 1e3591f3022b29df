'use client';
import { useMemo } from 'react';
import type { Ordered } from '@/core/lathe/events';
import { readyMinutes, type ObservedStep } from '@/core/lathe/observed';
import type { Progress } from '@/core/lathe/progress';
import { reallyCost, type CostBeside } from '@/core/money/really';
import type { Plan } from '@/core/plan/plan';
import { Card } from '../primitives/Card';
import { Table } from '../primitives/Table';
import { useWorkspace } from '../run/WorkspaceContext';

interface Props {
  plan: Plan;
  events: readonly Ordered[];
  observed: readonly ObservedStep[];
  progress: Progress;
}

/** What the run really cost beside what was reckoned, and what is earned where a quotation was accepted. */
export function WhatItCost({ plan, events, observed, progress }: Props) {
  const { file } = useWorkspace();
  const accepted = file.quote?.accepted;
  const { shares, batch, piece, isWhole, paid, earned } = useMemo(() => {
    const steps = observed.reduce((sum, { minutes }) => sum + minutes, 0);
    return reallyCost(plan, steps + readyMinutes(events), progress, accepted);
  }, [plan, events, observed, progress, accepted]);
  const { currency } = plan.run.shop.rates;
  const row = ({ name, reckoned, really }: CostBeside) => (
    <tr key={name}>
      <th scope="row">{name}</th>
      <td className="figure">{reckoned.toFixed(2)}</td>
      <td className="figure">{really.toFixed(2)}</td>
    </tr>
  );
  return (
    <Card aria-labelledby="cost">
      <h2 id="cost">What it {isWhole ? 'really cost' : 'has cost so far'}</h2>
      <Table aria-labelledby="cost">
        <thead>
          <tr>
            <th scope="col">{currency}</th>
            <th scope="col" className="figure">
              reckoned
            </th>
            <th scope="col" className="figure">
              {isWhole ? 'really' : 'so far'}
            </th>
          </tr>
        </thead>
        <tbody>{[...shares, batch, ...(piece && isWhole ? [piece] : [])].map(row)}</tbody>
      </Table>
      <p style={{ marginTop: 8 }}>
        Minutes as they were pressed at the lathe, material with what scrap took beyond the spares; edges and ordering
        as reckoned.{' '}
        {paid !== undefined && earned !== undefined && (
          <>
            The {Math.min(progress.good, accepted?.quantity ?? 0)} good pieces are paid with <b>{paid.toFixed(2)}</b>
            {isWhole && (
              <>
                {' '}
                ({earned < 0 ? 'lost' : 'earned'} <b>{Math.abs(earned).toFixed(2)}</b>)
              </>
            )}
            .
          </>
        )}
      </p>
    </Card>
  );
}
