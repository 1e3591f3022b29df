'use client';
import { sayFixed } from '@/core/model/units/mark';
import { CircleAlert, Pin, Undo2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import styled from 'styled-components';
import type { Plan } from '@/core/plan/plan';
import { movedBy, sayOverrule, toldOf, type PlannedOverrule } from '@/core/plan/order/overrules';
import { deviceName } from '../devices/deviceName';
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

const Again = styled.button`
  display: inline-grid;
  place-items: center;
  min-width: 26px;
  min-height: 26px;
  margin-left: 4px;
  padding: 0;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--sheet);
  color: var(--ink);
  vertical-align: middle;
  cursor: pointer;
  svg {
    margin: 0;
  }
  @media (pointer: coarse) {
    min-width: 44px;
    min-height: 44px;
  }
`;

const cost = (minutes: number): string => {
  if (Math.abs(minutes) < 0.005) return 'It costs nothing.';
  return `It ${minutes > 0 ? 'costs' : 'saves'} ${sayFixed(Math.abs(minutes), 2)} min a piece.`;
};

interface Props {
  plan: Plan;
  /** The operation that is looked at; without one, all of the run. */
  of?: string;
  edits: OrderEdits;
}

/** What was decided against the planner: what it breaks and costs, and the way back. */
export function Overrules({ plan, of, edits }: Props) {
  const shown = of === undefined ? plan.overrules : overrulesOf(plan, of);
  const names = namesIn(plan);
  if (shown.length === 0) return null;
  const groups = groupsOf(shown);
  const several = groups.size > 1;
  return (
    <>
      <ul aria-label="Decided">
        {shown.map((planned) => (
          <Decided key={planned.index} planned={planned} names={names} edits={edits}>
            {several && groups.get(planned.index) && (
              <Again
                type="button"
                aria-label={`Let Shingle decide again: ${sayOverrule(planned, names)}`}
                onClick={() => edits.release(groups.get(planned.index) ?? [])}
              >
                <Undo2 size={15} aria-hidden />
              </Again>
            )}
          </Decided>
        ))}
      </ul>
      <Row>
        <Button onPress={() => edits.release(shown.map(({ index }) => index))}>
          <Undo2 size={15} aria-hidden /> Let Shingle decide again{several ? ', all of it' : ''}
        </Button>
      </Row>
    </>
  );
}

/** What was decided together, by the first of each: the two orders of a moved operation, or one alone. */
function groupsOf(overrules: readonly PlannedOverrule[]): Map<number, number[]> {
  const groups = new Map<number, number[]>();
  for (const { index, overrule } of overrules) {
    const moved = movedBy(overrule);
    const first = overrules.find((other) => moved !== undefined && movedBy(other.overrule) === moved)?.index ?? index;
    groups.set(first, [...(groups.get(first) ?? []), index]);
  }
  return groups;
}

function Decided({
  planned,
  names,
  edits,
  children,
}: {
  /** The way back, where there are several. */
  children?: ReactNode;
  planned: PlannedOverrule;
  names: ReadonlyMap<string, string>;
  edits: OrderEdits;
}) {
  const { index, overrule, state, breaks, minutes } = planned;
  const [because, setBecause] = useState(overrule.because ?? '');
  const [signed, setSigned] = useState(() => overrule.signed ?? deviceName());
  const words = sayOverrule(planned, names);
  const signs = Boolean(overrule.signed);
  if (state === 'idle' || state === 'cannot')
    return (
      <Item icon={<CircleAlert size={15} aria-label="Not followed" />}>
        {words}: {toldOf(planned).join(' ')}
        {children}
      </Item>
    );
  if (state === 'kept')
    return (
      <>
        <Item icon={<Pin size={15} color="var(--blue)" aria-hidden />}>
          {words}: so decided. {minutes !== undefined && cost(minutes)}
          {signs && ` Signed ${overrule.signed}: ${overrule.because}.`}
          {children}
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
        {children}
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
