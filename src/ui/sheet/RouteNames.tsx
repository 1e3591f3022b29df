'use client';
import { sayFixed } from '@/core/model/units/mark';
import { memo, useEffect, useRef } from 'react';
import styled from 'styled-components';
import { CircleAlert, Pin } from 'lucide-react';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { OperationSign } from './icons';
import { decidedOf } from './overrulesOf';
import type { SheetLayout } from './sheetLayout';

const List = styled.div`
  position: absolute;
  left: 0;
`;

const Row = styled.button`
  display: grid;
  width: 100%;
  grid-template-columns: 42px 18px 1fr 46px;
  gap: 7px;
  align-items: center;
  padding: 0 8px 0 6px;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 14px;
  text-align: left;
  cursor: pointer;
  .number,
  .minutes {
    color: var(--ink-soft);
    font-family: var(--mono);
    font-size: 13px;
    text-align: right;
  }
  .name {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  &:hover {
    background: var(--hover);
  }
  &[aria-selected='true'] {
    background: var(--blue-soft);
    color: var(--blue);
    font-weight: 700;
  }
  &[aria-selected='true'] .number,
  &[aria-selected='true'] .minutes {
    color: var(--blue);
  }
  &:focus-visible {
    outline-offset: -3px;
  }
`;

const minutesOf = ({ cutting, hand }: TimedOperation) => cutting.value + hand.value;

interface Props {
  plan: Plan;
  planned: PlannedSetup;
  layout: SheetLayout;
  top: number;
  selected: string | undefined;
  onSelect: (key: string) => void;
}

/** A sign before an operation whose place was decided. */
function Decided({ decided }: Pick<OptionProps, 'decided'>) {
  if (!decided) return null;
  const style = { display: 'inline', marginRight: 3, verticalAlign: '-2px' };
  return decided === 'kept' ? (
    <Pin size={13} aria-label="place decided" style={style} />
  ) : (
    <CircleAlert size={13} color="var(--oxide)" aria-label="place decided, against a rule" style={style} />
  );
}

interface OptionProps {
  operation: string;
  number: number;
  kind: string;
  name: string;
  minutes: string;
  decided: ReturnType<typeof decidedOf>;
  chosen: boolean;
  /** Whether Tab comes to it. */
  reached: boolean;
  rowHeight: number;
  onSelect: (key: string) => void;
}

/** One row: most of them stay as they are when a figure is edited. */
const Option = memo(function Option(props: OptionProps) {
  return (
    <Row
      type="button"
      role="option"
      aria-selected={props.chosen}
      tabIndex={props.reached ? 0 : -1}
      style={{ height: props.rowHeight }}
      onClick={() => props.onSelect(props.operation)}
    >
      <span className="number">
        <Decided decided={props.decided} />
        {props.number}
      </span>
      <OperationSign kind={props.kind} />
      <span className="name">{props.name}</span>
      <span className="minutes">{props.minutes}</span>
    </Row>
  );
});

/** The names and minutes of the operations, one column; arrows move through them. */
export const RouteNames = memo(function RouteNames({ plan, planned, layout, top, selected, onSelect }: Props) {
  const list = useRef<HTMLDivElement>(null);
  const { rowHeight } = layout;
  // Focus goes with the selection while it is in the list, so that the keyboard is never lost.
  useEffect(() => {
    if (list.current?.contains(document.activeElement))
      list.current.querySelector<HTMLButtonElement>('[aria-selected="true"]')?.focus();
  }, [selected]);
  return (
    <List
      ref={list}
      role="listbox"
      aria-label={`Operations of set-up ${planned.setup.number}`}
      style={{ top, width: layout.names }}
    >
      {planned.operations.map((operation, index) => {
        const { key, number, kind, name } = operation;
        return (
          <Option
            key={key}
            {...{ number, kind, name, rowHeight, onSelect }}
            operation={key}
            minutes={sayFixed(minutesOf(operation), 2)}
            decided={decidedOf(plan, key)}
            chosen={key === selected}
            reached={key === selected || (selected === undefined && index === 0)}
          />
        );
      })}
    </List>
  );
});
