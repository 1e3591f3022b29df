'use client';
import { learnedGroups, learnedPiece, saidBy } from '@/core/lathe/learnFrom';
import type { ObservedStep } from '@/core/lathe/observed';
import { sayMinutes } from '@/core/model/units/show';
import type { Plan } from '@/core/plan/plan';
import { stepsTook } from '@/core/present/planActual';
import { Card } from '../primitives/Card';
import { Heads, Table } from '../primitives/Table';

const figure = (minutes: number | undefined) => (minutes === undefined ? '' : minutes.toFixed(2));

/** Planned against what it took, step by step, and what was learned of it group by group. */
export function TimesTook({ plan, observed }: { plan: Plan; observed: readonly ObservedStep[] }) {
  const steps = stepsTook(plan, observed);
  const groups = learnedGroups(plan, [saidBy(plan, observed)]);
  const piece = learnedPiece(plan, groups);
  const runs = Math.max(0, ...groups.map(({ learned }) => learned.runs));
  return (
    <>
      <Card aria-labelledby="took">
        <h2 id="took">Steps: planned, and what they took</h2>
        <Table>
          <Heads of={['Set-up', 'Step', { figures: 'planned, min' }, { figures: 'took' }, { figures: 'pieces' }]} />
          <tbody>
            {steps.map(({ key, setup, words, planned, took, count }) => (
              <tr key={`${setup} ${key}`}>
                <td>{setup}</td>
                <th scope="row">{words}</th>
                <td className="figure">{figure(planned)}</td>
                <td className="figure">{figure(took)}</td>
                <td className="figure">{count > 0 ? count : ''}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Card>
      <Card aria-labelledby="learned">
        <h2 id="learned">What was learned</h2>
        {runs === 0 ? (
          <p>Nothing yet: from the third piece on, steps that were pressed as they ended are learned from.</p>
        ) : (
          <>
            <p style={{ marginBottom: 8 }}>
              A piece: planned {piece.planned.toFixed(2)} min, learned <b>{piece.expected.toFixed(2)}</b>, four of five
              batches between {piece.p10.toFixed(2)} and {piece.p90.toFixed(2)}. A batch of {plan.run.quantity}:{' '}
              {sayMinutes(piece.expected * plan.run.quantity + plan.times.setup.value)}.
            </p>
            <Table>
              <Heads
                of={[
                  'Minutes of',
                  { figures: 'planned' },
                  { figures: 'learned' },
                  { figures: 'from' },
                  { figures: 'to' },
                  { figures: 'factor' },
                  { figures: 'pieces' },
                ]}
              />
              <tbody>
                {groups.map(({ group, words, planned, expected, p10, p90, learned }) => (
                  <tr key={group}>
                    <th scope="row">{words}</th>
                    <td className="figure">{figure(planned)}</td>
                    <td className="figure">{figure(expected)}</td>
                    <td className="figure">{figure(p10)}</td>
                    <td className="figure">{figure(p90)}</td>
                    <td className="figure">{(expected / planned).toFixed(2)}</td>
                    <td className="figure">{learned.pieces}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </>
        )}
      </Card>
    </>
  );
}
