'use client';
import type { OutsideOp } from '@/core/plan/outside/outsideOp';
import type { Plan } from '@/core/plan/plan';
import { Button } from '../primitives/Button';
import { Overrules } from './Overrules';
import { Line, Part } from './panelParts';
import type { OrderEdits } from './useOrder';
import { FigureButton } from './Working';

interface After {
  plan: Plan;
  /** The set-up that it comes after. */
  after: number;
  edits: OrderEdits;
}

/** Work on other machines after a set-up. */
export const ElsewherePart = (props: After) => (
  <Part>
    <h3>Then, elsewhere</h3>
    {props.plan.outside
      .filter(({ after }) => after === props.after)
      .map((operation) => (
        <Elsewhere key={operation.key} operation={operation} {...props} />
      ))}
  </Part>
);

function Elsewhere({ operation, plan, after, edits }: After & { operation: OutsideOp }) {
  const { feature, name, notes, setup: once, piece } = operation;
  const { units } = plan.run;
  return (
    <div>
      <p style={{ fontWeight: 600 }}>{name}</p>
      {notes.map((note) => (
        <p key={note} style={{ color: 'var(--ink-soft)', fontSize: 14 }}>
          {note}
        </p>
      ))}
      <Overrules plan={plan} of={feature} edits={edits} />
      <div style={{ display: 'flex', gap: 8, margin: '6px 0' }}>
        {after > 1 && (
          <Button aria-label={`${name} before set-up ${after}`} onPress={() => edits.outside(feature, after - 1)}>
            Before set-up {after}
          </Button>
        )}
        {after < plan.setups.length && (
          <Button aria-label={`${name} after set-up ${after + 1}`} onPress={() => edits.outside(feature, after + 1)}>
            After set-up {after + 1}
          </Button>
        )}
      </div>
      <dl>
        <Line name="Setting up, min">
          <FigureButton figure={once} units={units} />
        </Line>
        <Line name="A piece, min">
          <FigureButton figure={piece} units={units} />
        </Line>
      </dl>
    </div>
  );
}
