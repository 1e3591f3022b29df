'use client';
import { memo, useCallback, useEffect, useRef, useState } from 'react';
import { useMove } from 'react-aria';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { decidedOf } from './overrulesOf';
import type { SheetLayout } from './sheetLayout';
import type { OrderEdits } from './useOrder';

/** How far down a tile lies over the next, px: the overlap of shingles. */
const OVERLAP = 7;

interface TileProps {
  operation: string;
  left: number;
  width: number;
  y: number;
  rowHeight: number;
  /** Which of its ends is the dark one, where the tool stops; by hand nothing stops. */
  stops: 'left' | 'right' | undefined;
  /** From the tailstock. */
  fromTailstock: boolean;
  chosen: boolean;
  decided: boolean;
  onSelect: (key: string) => void;
  /** It was dragged so many rows down, or is being dragged. */
  onMove: (key: string, rows: number, done: boolean) => void;
}

/**
 * One tile: over exactly the length it cuts, its dark end where the tool stops. A mouse or a pen drags it. Most of them
 * stay as they are when a figure is edited.
 */
const Tile = memo(function Tile(props: TileProps) {
  const { operation, left, width, y, rowHeight, stops, fromTailstock, chosen, decided, onSelect, onMove } = props;
  const [dragged, setDragged] = useState<number>();
  const rows = Math.round((dragged ?? 0) / rowHeight);
  const { moveProps } = useMove({
    onMove({ deltaY, pointerType }) {
      // A finger scrolls, and the keys have their own list.
      if (pointerType !== 'mouse' && pointerType !== 'pen') return;
      const far = (dragged ?? 0) + deltaY;
      setDragged(far);
      onMove(operation, Math.round(far / rowHeight), false);
    },
    onMoveEnd() {
      setDragged(undefined);
      onMove(operation, rows, true);
    },
  });
  const height = rowHeight + OVERLAP - 3;
  return (
    <g
      {...moveProps}
      data-tile={operation}
      onClick={() => onSelect(operation)}
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
        fill={chosen ? 'var(--blue-soft)' : fromTailstock ? 'var(--brass-soft)' : 'var(--sheet)'}
        stroke={chosen ? 'var(--blue)' : 'var(--ink-soft)'}
        strokeWidth={chosen ? 2 : 1}
        strokeDasharray={decided ? '5 3' : stops ? undefined : '1.5 3'}
      />
      {stops && (
        <rect
          x={stops === 'left' ? left : left + width - 5}
          y={y}
          width="5"
          height={height}
          rx="1"
          fill={chosen ? 'var(--blue)' : 'var(--ink)'}
        />
      )}
    </g>
  );
});

/** Where a tile lies, and where it is dark. */
function placeOf({ from, to, stop }: TimedOperation, { x }: SheetLayout) {
  const [left, right] = [Math.min(x(to), x(from)), Math.max(x(to), x(from))];
  const end = x(to) <= x(from) ? ('left' as const) : ('right' as const);
  return { left, width: Math.max(9, right - left), stops: stop.means === 'none' ? undefined : end };
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
  // The same for every plan, so that a tile does not change with it.
  const now = useRef({ operations, edits });
  useEffect(() => {
    now.current = { operations, edits };
  }, [operations, edits]);
  const move = useCallback((key: string, rows: number, done: boolean) => {
    const index = now.current.operations.findIndex((operation) => operation.key === key);
    const to = Math.min(now.current.operations.length - 1, Math.max(0, index + rows));
    setDragged(done ? undefined : { index, to });
    if (done && to !== index) now.current.edits.move(key, to);
  }, []);
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
          operation={operation.key}
          {...placeOf(operation, layout)}
          y={y}
          rowHeight={rowHeight}
          fromTailstock={operation.kind === 'drill' || operation.kind === 'centre'}
          chosen={operation.key === selected || index === dragged?.index}
          decided={decidedOf(plan, operation.key) !== undefined}
          onSelect={onSelect}
          onMove={move}
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
