'use client';
import { useState } from 'react';
import { mergeProps, useMove } from 'react-aria';
import styled from 'styled-components';
import type { Segment } from '@/core/schedule/segments';

const Shingle = styled.button`
  position: absolute;
  top: 8px;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  height: 52px;
  padding: 2px 8px 0 6px;
  overflow: hidden;
  border: 1px solid var(--ink-soft);
  /* Its dark end, as of a tile: where it is made. */
  border-right: 5px solid var(--ink);
  border-radius: 3px 0 0 3px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  text-align: left;
  white-space: nowrap;
  cursor: grab;
  touch-action: none;
  b {
    position: relative;
    font: 700 13px/18px var(--mono);
  }
  small {
    position: relative;
    font-size: 12px;
    line-height: 16px;
  }
  i {
    position: absolute;
    bottom: 0;
    height: 12px;
    border-top: 1px solid var(--line);
  }
  i[data-kind='ready'] {
    background: repeating-linear-gradient(45deg, var(--metal) 0 4px, var(--ink-soft) 4px 5px);
  }
  i[data-kind='pieces'] {
    background: linear-gradient(var(--brass-soft), var(--brass-soft));
    border-left: 1px solid var(--brass);
  }
  &[data-late] {
    border-color: var(--oxide);
    border-right-color: var(--oxide);
    box-shadow: inset 0 3px 0 var(--oxide);
  }
  &[aria-pressed='true'] {
    z-index: 2;
    outline: 3px solid var(--blue);
  }
  &:focus-visible {
    z-index: 3;
    outline: 3px solid var(--blue);
    outline-offset: 2px;
  }
  &[data-dragged] {
    z-index: 4;
    opacity: 0.85;
    cursor: grabbing;
  }
`;

const Doubt = styled.span`
  position: absolute;
  top: 20px;
  height: 26px;
  border: 1px dashed var(--ink-soft);
  border-left: 0;
  background: linear-gradient(90deg, var(--metal), transparent);
  pointer-events: none;
`;

interface Props {
  number: string;
  name: string;
  /** What is heard of it. */
  label: string;
  left: number;
  width: number;
  /** Until where four of five end, px from its own end. */
  doubt: number;
  segments: readonly (Segment & { left: number; width: number })[];
  late: string | undefined;
  chosen: boolean;
  onChoose: () => void;
  /** Let go so far from where it stands, px. */
  onMoved: (dx: number, dy: number) => void;
  /** One place earlier or later, one lathe up or down. */
  onStep: (places: number, lathes: number) => void;
}

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A run in its place: dragged by mouse or finger; with Alt and the arrows a place or a lathe further. */
export function Block(props: Props) {
  const { number, name, label, left, width, doubt, segments, late, chosen, onChoose, onMoved, onStep } = props;
  const [far, setFar] = useState<{ x: number; y: number }>();
  const { moveProps } = useMove({
    onMove({ deltaX, deltaY, pointerType }) {
      if (pointerType === 'keyboard') return;
      setFar((now) => ({ x: (now?.x ?? 0) + deltaX, y: (now?.y ?? 0) + deltaY }));
    },
    onMoveEnd() {
      if (far && Math.abs(far.x) + Math.abs(far.y) > 8) onMoved(far.x, far.y);
      setFar(undefined);
    },
  });
  const keys = {
    onKeyDown: (event: React.KeyboardEvent) => {
      const step = event.altKey ? STEPS[event.key] : undefined;
      if (!step) return;
      event.preventDefault();
      event.stopPropagation();
      onStep(...step);
    },
  };
  return (
    <>
      <Shingle
        type="button"
        aria-label={label}
        aria-pressed={chosen}
        data-late={late ? '' : undefined}
        data-dragged={far ? '' : undefined}
        style={{ left, width, transform: far ? `translate(${far.x}px, ${far.y}px)` : undefined }}
        {...mergeProps({ onKeyDown: keys.onKeyDown }, moveProps, {
          // What may be dragged takes no focus by itself.
          onClick: (event: React.MouseEvent<HTMLButtonElement>) => {
            event.currentTarget.focus();
            onChoose();
          },
        })}
      >
        <b>
          {number}
          {late && ` · late ${late}`}
        </b>
        <small>{name}</small>
        {segments.map((segment) => (
          <i
            key={`${segment.kind}${segment.setup}`}
            data-kind={segment.kind}
            style={{ left: segment.left, width: segment.width }}
          />
        ))}
      </Shingle>
      {doubt > 2 && <Doubt aria-hidden style={{ left: left + width, width: doubt }} />}
    </>
  );
}
