'use client';
import { sayFixed } from '@/core/model/units/mark';
import { edgeWear } from '@/core/lathe/edgeWear';
import type { Ordered } from '@/core/lathe/events';
import { learnedGroups, learnedPiece, saidBy, type CostTaught, type Taught } from '@/core/lathe/learnFrom';
import type { ObservedStep } from '@/core/lathe/observed';
import { sayMinutes } from '@/core/model/units/show';
import type { Plan } from '@/core/plan/plan';
import { stepsTook } from '@/core/present/planActual';
import { LearnedEdges } from '../learned/LearnedEdges';
import { LearnedTable } from '../learned/LearnedTable';
import { useLearned } from '../learned/useLearned';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { Heads, Table } from '../primitives/Table';

const figure = (minutes: number | undefined) => (minutes === undefined ? '' : sayFixed(minutes, 2));

interface Props {
  id: string;
  plan: Plan;
  observed: readonly ObservedStep[];
  events: readonly Ordered[];
  /** What the run cost, once all of it is made. */
  cost: CostTaught | undefined;
}

/** Planned against what it took, step by step, and what the run says of each group of minutes. */
export const TimesTook = (props: Props) => (
  <>
    <Steps {...props} />
    <Teaches {...props} />
  </>
);

function Steps({ plan, observed }: Pick<Props, 'plan' | 'observed'>) {
  return (
    <Card aria-labelledby="took">
      <h2 id="took">Steps: planned, and what they took</h2>
      <Table>
        <Heads of={['Set-up', 'Step', { figures: 'planned, min' }, { figures: 'took' }, { figures: 'pieces' }]} />
        <tbody>
          {stepsTook(plan, observed).map(({ key, setup, words, planned, took, count }) => (
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
  );
}

const isSameTaught = (a: Taught, b: Taught): boolean =>
  (['says', 'edges', 'cost'] as const).every((what) => JSON.stringify(a[what] ?? {}) === JSON.stringify(b[what] ?? {}));

/** What this run says, and a press that has the shop learn from it. */
function Teaches({ id, plan, observed, events, cost }: Props) {
  const { learned, learn, failed } = useLearned();
  const says = saidBy(plan, observed);
  const groups = learnedGroups(plan, [says]);
  const piece = learnedPiece(plan, groups);
  const edges = edgeWear(plan, events);
  const taught: Taught = { machine: plan.run.shop.machine.id, says, edges, ...(cost ? { cost } : {}) };
  const before = learned?.find(({ run }) => String(run) === id);
  const isSame = before !== undefined && isSameTaught(before, taught);
  return (
    <Card aria-labelledby="learned">
      <h2 id="learned">What it teaches</h2>
      {Object.keys(says).length === 0 ? (
        <p>Nothing yet: from the third piece on, steps that were pressed as they ended are learned from.</p>
      ) : (
        <>
          <p style={{ marginBottom: 8 }}>
            By this run alone a piece takes <b>{sayFixed(piece.expected, 2)} min</b> (planned{' '}
            {sayFixed(piece.planned, 2)}), between {sayFixed(piece.p10, 2)} and {sayFixed(piece.p90, 2)}; a batch of{' '}
            {plan.run.quantity}: {sayMinutes(piece.expected * plan.run.quantity + plan.times.setup.value)}.
          </p>
          <LearnedTable groups={groups} />
          <LearnedEdges edges={plan.run.shop.edges} said={[edges]} />
          <p style={{ display: 'flex', flexWrap: 'wrap', gap: 10, alignItems: 'center', marginTop: 10 }}>
            <Button isDisabled={isSame} onPress={() => void learn(id, taught)}>
              Learn from this run
            </Button>
            <span role="status">
              {failed
                ? 'The server does not answer; nothing was learned. Try again.'
                : isSame
                  ? 'The shop has learned from it: Times shows it in every run.'
                  : before && 'Since the shop learned from it more was made, or its plan changed.'}
            </span>
          </p>
        </>
      )}
    </Card>
  );
}
