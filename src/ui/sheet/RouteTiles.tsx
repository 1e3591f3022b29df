'use client';
import { memo, useState } from 'react';
import { useMove } from 'react-aria';
import type { Plan } from '@/core/plan';
import type { PlannedSetup, TimedOperation } from '@/core/time/planTimes';
import { decidedOf } from './overrulesOf';
import type { SheetLayout } from './sheetLayout';
import type { OrderEdits } from './useOrder';

/** How far down a tile lies over the next, px: the overlap of shingles. */
const OVERLAP = 7;

interface TileProps {
  operation: TimedOperation;
  layout: SheetLayout;
  y: number;
  chosen: boolean;
  decided: boolean;
  onSelect: () => void;
  /** It was dragged so many rows down, or is being dragged. */
  onMove: (rows: number, done: boolean) => void;
}

/** One tile: over exactly the length it cuts, its dark end where the tool stops. A mouse or a pen drags it. */
function Tile({ operation, layout, y, chosen, decided, onSelect, onMove }: TileProps) {
  const { x, rowHeight } = layout;
  const { from, to, kind, stop, key } = operation;
  const [dragged, setDragged] = useState<number>();
  const rows = Math.round((dragged ?? 0) / rowHeight);
  const { moveProps } = useMove({
    onMove({ deltaY, pointerType }) {
      // A finger scrolls, and the keys have their own list.
      if (pointerType !== 'mouse' && pointerType !== 'pen') return;
      const far = (dragged ?? 0) + deltaY;
      setDragged(far);
      onMove(Math.round(far / rowHeight), false);
    },
    onMoveEnd() {
      setDragged(undefined);
      onMove(rows, true);
    },
  });
  const [left, right] = [Math.min(x(to), x(from)), Math.max(x(to), x(from))];
  const width = Math.max(9, right - left);
  const byHand = stop.means === 'none';
  const height = rowHeight + OVERLAP - 3;
  return (
    <g
      {...moveProps}
      data-tile={key}
      onClick={onSelect}
      transform={dragged === undefined ? undefined : `translate(0 ${dragged})`}
      opacity={dragged === undefined ? undefined : 0.75}
      style={{ cursor: dragged === undefined ? 'grab' : 'grabbing' }}
    >
      <rect
        x={left}
        y={y}
        width={width}
        height={height}
        rx="3"
        fill={
          chosen ? 'var(--blue-soft)' : kind === 'drill' || kind === 'centre' ? 'var(--brass-soft)' : 'var(--sheet)'
        }
        stroke={chosen ? 'var(--blue)' : 'var(--ink-soft)'}
        strokeWidth={chosen ? 2 : 1}
        strokeDasharray={decided ? '5 3' : byHand ? '1.5 3' : undefined}
      />
      {!byHand && (
        <rect
          x={x(to) <= x(from) ? left : left + width - 5}
          y={y}
          width="5"
          height={height}
          rx="1"
          fill={chosen ? 'var(--blue)' : 'var(--ink)'}
        />
      )}
    </g>
  );
}

interface Props {
  plan: Plan;
  planned: PlannedSetup;
  layout: SheetLayout;
  top: number;
  selected: string | undefined;
  onSelect: (key: string) => void;
  edits: OrderEdits;
}

/** The tiles in their order; one that is dragged shows between which two it would come to lie. */
export const RouteTiles = memo(function RouteTiles({ plan, planned, layout, top, selected, onSelect, edits }: Props) {
  const { operations } = planned;
  const { rowHeight } = layout;
  const [dragged, setDragged] = useState<{ index: number; to: number }>();
  const move = (index: number) => (rows: number, done: boolean) => {
    const to = Math.min(operations.length - 1, Math.max(0, index + rows));
    setDragged(done ? undefined : { index, to });
    if (done && to !== index) edits.move(operations[index]?.key ?? '', to);
  };
  const gap = dragged && dragged.to !== dragged.index ? dragged.to + (dragged.to > dragged.index ? 1 : 0) : undefined;
  const placed = operations.map((operation, index) => ({ operation, index, y: top + index * rowHeight + 2 }));
  // What is drawn last lies on top: each tile over the one before it, and the dragged one over all.
  const drawn = [...placed].sort((a, b) => Number(a.index === dragged?.index) - Number(b.index === dragged?.index));
  return (
    <g>
      {placed.map(({ operation, y }) => (
        <line
          key={operation.key}
          x1={layout.names}
          x2={layout.right + 10}
          y1={y + rowHeight / 2 - 1}
          y2={y + rowHeight / 2 - 1}
          stroke="var(--line)"
          strokeDasharray="1 4"
        />
      ))}
      {drawn.map(({ operation, index, y }) => (
        <Tile
          key={operation.key}
          operation={operation}
          layout={layout}
          y={y}
          chosen={operation.key === selected || index === dragged?.index}
          decided={decidedOf(plan, operation.key) !== undefined}
          onSelect={() => onSelect(operation.key)}
          onMove={move(index)}
        />
      ))}
      {gap !== undefined && (
        <line
          data-gap
          x1={0}
          x2={layout.right + 10}
          y1={top + gap * rowHeight + 1}
          y2={top + gap * rowHeight + 1}
          stroke="var(--blue)"
          strokeWidth="2.5"
        />
      )}
    </g>
  );
});
