'use client';
import { sayFixed } from '@/core/model/units/mark';
import { useMemo } from 'react';
import { rangeOfLearned } from '@/core/ask/promise';
import { learnedGroups, learnedPiece, runsFor } from '@/core/lathe/learnFrom';
import { sayMinutes } from '@/core/model/units/show';
import type { Plan } from '@/core/plan/plan';
import { Card } from '../primitives/Card';
import { LearnedEdges } from './LearnedEdges';
import { LearnedTable } from './LearnedTable';
import { useLearned } from './useLearned';

/** Batches that are played. */
const RUNS = 10_000;

/** What runs that were made say of this one's minutes: planned, learned, how sure, and from which. */
export function LearnedCard({ plan }: { plan: Plan }) {
  const { learned } = useLearned();
  const { machine } = plan.run.shop;
  const told = useMemo(() => {
    if (!learned || learned.length === 0) return undefined;
    const { runs, own } = runsFor(machine.id, learned);
    const groups = learnedGroups(
      plan,
      runs.map(({ says }) => says),
    );
    return {
      runs,
      own,
      groups,
      piece: learnedPiece(plan, groups),
      range: rangeOfLearned(plan, groups, { runs: RUNS, seed: 1 }),
    };
  }, [plan, machine.id, learned]);
  return (
    <Card aria-labelledby="learned">
      <h2 id="learned">What was learned at the lathe</h2>
      {told ? (
        <>
          <p style={{ marginBottom: 8 }}>
            A piece: planned {sayFixed(told.piece.planned, 2)} min, learned <b>{sayFixed(told.piece.expected, 2)}</b>,
            between {sayFixed(told.piece.p10, 2)} and {sayFixed(told.piece.p90, 2)}. Half of such batches take no longer
            than <b>{sayMinutes(told.range.p50)}</b>, four of five no longer than <b>{sayMinutes(told.range.p80)}</b>.
          </p>
          <LearnedTable groups={told.groups} />
          <LearnedEdges edges={plan.run.shop.edges} said={told.runs.map(({ edges }) => edges)} />
          <p style={{ marginTop: 6, color: 'var(--ink-soft)', fontSize: 13 }}>
            From {told.runs.map(({ number }) => number).join(', ')}
            {told.own ? `, made on ${machine.name}` : ', of the whole shop: few were made on this lathe'}.
          </p>
        </>
      ) : (
        <p style={{ color: 'var(--ink-soft)' }}>
          {learned ? 'No run has taught anything yet: the log of one that was made offers it.' : 'Looking …'}
        </p>
      )}
    </Card>
  );
}
