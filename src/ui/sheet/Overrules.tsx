'use client';
import { CircleAlert, Pin, Undo2 } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import type { Plan } from '@/core/plan';
import { sayOverrule, toldOf, type PlannedOverrule } from '@/core/route/overrules';
import { Button } from '../primitives/Button';
import { Field } from '../primitives/Field';
import { Item } from './panelParts';
import { namesIn, overrulesOf } from './overrulesOf';
import type { OrderEdits } from './useOrder';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 6px;
  margin: 4px 0 8px 23px;
  > label,
  > div {
    flex: 1 1 96px;
  }
`;

const cost = (minutes: number): string => {
  if (Math.abs(minutes) < 0.005) return 'It costs nothing.';
  return `It ${minutes > 0 ? 'costs' : 'saves'} ${Math.abs(minutes).toFixed(2)} min a piece.`;
};

interface Props {
  plan: Plan;
  /** The operation that is looked at; without one, all of the run. */
  of?: string;
  edits: OrderEdits;
}

/** What was decided against the planner: what it breaks and costs, and the way back. */
export function Overrules({ plan, of, edits }: Props) {
  const own = of === undefined ? plan.overrules : overrulesOf(plan, of);
  const names = namesIn(plan);
  if (own.length === 0) return null;
  return (
    <>
      <ul aria-label="Decided">
        {own.map((planned) => (
          <Decided key={planned.index} planned={planned} names={names} edits={edits} />
        ))}
      </ul>
      <Row>
        <Button onPress={() => edits.release(own.map(({ index }) => index))}>
          <Undo2 size={15} aria-hidden /> Let Shingle decide again
        </Button>
      </Row>
    </>
  );
}

function Decided({
  planned,
  names,
  edits,
}: {
  planned: PlannedOverrule;
  names: ReadonlyMap<string, string>;
  edits: OrderEdits;
}) {
  const { index, overrule, state, breaks, minutes } = planned;
  const [because, setBecause] = useState(overrule.because ?? '');
  const [signed, setSigned] = useState(overrule.signed ?? '');
  const words = sayOverrule(planned, names);
  const signs = Boolean(overrule.signed);
  if (state === 'idle' || state === 'cannot')
    return (
      <Item icon={<CircleAlert size={15} aria-label="Not followed" />}>
        {words}: {toldOf(planned).join(' ')}
      </Item>
    );
  if (state === 'kept')
    return (
      <>
        <Item icon={<Pin size={15} color="var(--blue)" aria-hidden />}>
          {words}: so decided. {minutes !== undefined && cost(minutes)}
          {signs && ` Signed ${overrule.signed}: ${overrule.because}.`}
        </Item>
        {breaks.map(({ rule, because: why, strength }) => (
          <Item
            key={rule + why}
            icon={
              <CircleAlert
                size={15}
                color={strength === 'H' ? 'var(--oxide)' : 'var(--ink-soft)'}
                aria-label="Broken rule"
              />
            }
          >
            Broken: {why} <code>{rule}</code>
          </Item>
        ))}
      </>
    );
  return (
    <>
      <Item icon={<CircleAlert size={15} color="var(--oxide)" aria-label="Not followed" />}>
        <strong>{words}: not followed, against a hard rule.</strong>
      </Item>
      {breaks.map(({ rule, because: why }) => (
        <Item key={rule + why} icon={<CircleAlert size={15} color="var(--oxide)" aria-label="Hard rule" />}>
          {why} <code>{rule}</code>
        </Item>
      ))}
      <Row>
        <Field label="Reason" plain value={because} onChange={setBecause} />
        <Field label="Signed" plain value={signed} onChange={setSigned} />
        <Button
          isDisabled={because.trim() === '' || signed.trim() === ''}
          onPress={() => edits.sign(index, because.trim(), signed.trim())}
        >
          Do it anyway
        </Button>
      </Row>
    </>
  );
}
