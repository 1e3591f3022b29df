'use client';
import { sayFixed } from '@/core/model/units/mark';
import type { Progress } from '@/core/lathe/progress';
import type { CostBeside, ReallyCost } from '@/core/money/really';
import type { Plan } from '@/core/plan/plan';
import { EarlierCosts } from '../learned/EarlierCosts';
import { useLearned } from '../learned/useLearned';
import { Card } from '../primitives/Card';
import { Table } from '../primitives/Table';
import { useWorkspace } from '../run/WorkspaceContext';

interface Props {
  id: string;
  plan: Plan;
  progress: Progress;
  cost: ReallyCost;
}

/** What the run really cost beside what was reckoned, what is earned where a quotation was accepted, and what earlier ones cost. */
export function WhatItCost({ id, plan, progress, cost }: Props) {
  const { file } = useWorkspace();
  const { learned } = useLearned();
  const accepted = file.quote?.accepted;
  const { shares, batch, piece, isWhole, paid, earned } = cost;
  const { currency } = plan.run.shop.rates;
  const row = ({ name, reckoned, really }: CostBeside) => (
    <tr key={name}>
      <th scope="row">{name}</th>
      <td className="figure">{sayFixed(reckoned, 2)}</td>
      <td className="figure">{sayFixed(really, 2)}</td>
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
            The {Math.min(progress.good, accepted?.quantity ?? 0)} good pieces are paid with <b>{sayFixed(paid, 2)}</b>
            {isWhole && (
              <>
                {' '}
                ({earned < 0 ? 'lost' : 'earned'} <b>{sayFixed(Math.abs(earned), 2)}</b>)
              </>
            )}
            .
          </>
        )}
      </p>
      {learned && <EarlierCosts learned={learned} number={plan.run.part.number} id={id} />}
    </Card>
  );
}
