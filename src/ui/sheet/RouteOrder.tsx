'use client';
import { GripVertical } from 'lucide-react';
import { Button, GridList, GridListItem, useDragAndDrop } from 'react-aria-components';
import styled from 'styled-components';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import type { OrderEdits } from './useOrder';

const List = styled(GridList)`
  position: absolute;
  left: 0;
  z-index: 2;
  background: var(--sheet);
  .react-aria-DropIndicator {
    height: 0;
    outline: 1.5px solid transparent;
  }
  .react-aria-DropIndicator[data-drop-target] {
    outline-color: var(--blue);
  }
`;

const Row = styled(GridListItem)`
  display: grid;
  grid-template-columns: 30px 34px 1fr;
  gap: 6px;
  align-items: center;
  padding: 0 8px 0 6px;
  font-size: 14px;
  cursor: grab;
  .number {
    color: var(--ink-soft);
    font: 13px var(--mono);
    text-align: right;
  }
  .name {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  &[data-dragging] {
    opacity: 0.5;
  }
  &[data-focus-visible] {
    outline: 2px solid var(--blue);
    outline-offset: -2px;
  }
  button {
    display: grid;
    place-items: center;
    height: 100%;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink-soft);
  }
`;

interface Props {
  planned: PlannedSetup;
  top: number;
  width: number;
  rowHeight: number;
  edits: OrderEdits;
}

/** The operations to be moved: by mouse, by touch, or by the keys of the list. Fetched when it is asked for. */
export function RouteOrder({ planned, top, width, rowHeight, edits }: Props) {
  const keys = planned.operations.map(({ key }) => key);
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (dragged) => [...dragged].map((key) => ({ 'text/plain': String(key) })),
    onReorder({ keys: moved, target }) {
      const [key] = [...moved].map(String);
      if (key === undefined) return;
      const others = keys.filter((name) => name !== key);
      const at = others.indexOf(String(target.key));
      if (at >= 0) edits.move(key, target.dropPosition === 'after' ? at + 1 : at);
    },
  });
  return (
    <List
      aria-label={`Order of set-up ${planned.setup.number}`}
      dragAndDropHooks={dragAndDropHooks}
      style={{ top, width }}
    >
      {planned.operations.map(({ key, number, name }) => (
        <Row key={key} id={key} textValue={`${number} ${name}`} style={{ height: rowHeight }}>
          <Button slot="drag" aria-label={`Move ${number} ${name}`}>
            <GripVertical size={14} aria-hidden />
          </Button>
          <span className="number">{number}</span>
          <span className="name">{name}</span>
        </Row>
      ))}
    </List>
  );
}
