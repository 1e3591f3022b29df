'use client';
import { sayFixed } from '@/core/model/units/mark';
import { useMemo, useRef, useState, type PointerEvent } from 'react';
import styled from 'styled-components';
import { drawPart } from '@/core/drawing/drawPart';
import type { Drawing } from '@/core/drawing/marks';
import type { Part } from '@/core/model/part/part';
import { formatNominal, type UnitSystem } from '@/core/model/units/length';
import { useSize } from '../primitives/useSize';
import { DrawingRoom, Drawn, TEXT_HEIGHT } from './Drawn';
import { Mistakes, roomForMistakes, type Mistake } from './Mistakes';

const Room = styled(DrawingRoom)`
  .shoulder {
    cursor: ew-resize;
    fill: transparent;
    outline-offset: -2px;
  }
  .shoulder:hover,
  .shoulder:focus-visible {
    fill: var(--blue-soft);
    fill-opacity: 0.7;
  }
`;

const Empty = styled.p`
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  padding: 20px;
  color: var(--ink-soft);
  text-align: center;
`;

/** Moves a shoulder: the step before it grows by this much, mm, and the one after it gives as much. */
export type MoveShoulder = (step: number, by: number, ended: boolean) => void;

/** The dimensioned section of a part; its shoulders can be taken hold of. */
export function PartDrawing({
  part,
  units,
  marked,
  wrong,
  onMove,
}: {
  part: Part | undefined;
  units: UnitSystem;
  marked?: string | undefined;
  /** Entries with something wrong. */
  wrong?: readonly Mistake[];
  onMove?: MoveShoulder | undefined;
}) {
  const [room, { width, height }] = useSize<HTMLDivElement>({ width: 560, height: 420 });
  const above = roomForMistakes(wrong?.length ?? 0);
  const drawing = useMemo(
    () => part && drawPart(part, units, { width, height: height - 22 - above, textHeight: TEXT_HEIGHT }),
    [part, units, width, height, above],
  );
  return (
    <Room ref={room}>
      {part && drawing ? (
        <Section
          part={part}
          drawing={drawing}
          units={units}
          marked={marked}
          wrong={wrong ?? []}
          onMove={onMove}
          height={height}
        />
      ) : (
        <Empty>The drawing grows here as the steps are entered: diameter and length, from the front.</Empty>
      )}
    </Room>
  );
}

function Section({
  part,
  drawing,
  units,
  marked,
  wrong,
  onMove,
  height,
}: {
  part: Part;
  drawing: Drawing;
  units: UnitSystem;
  marked: string | undefined;
  wrong: readonly Mistake[];
  onMove: MoveShoulder | undefined;
  height: number;
}) {
  const { width, marks, scale, shoulders } = drawing;
  return (
    <svg
      width={width}
      height={height}
      role="group"
      aria-label={`Section of the part, ${formatNominal(part.length, units)} ${units} long: ${marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])).join(', ')}`}
    >
      <g transform={`translate(0, ${roomForMistakes(wrong.length)})`}>
        {marks.map((mark, index) => (
          <Drawn
            key={index}
            mark={mark}
            h={drawing.textHeight}
            chosen={marked !== undefined && 'of' in mark && mark.of === marked}
          />
        ))}
        {onMove &&
          shoulders.map((shoulder) => (
            <Shoulder key={shoulder.step} shoulder={shoulder} part={part} scale={scale} units={units} onMove={onMove} />
          ))}
      </g>
      <text x={10} y={height - 8} className="soft">
        {width < 420 ? '' : `to scale, ${sayFixed(scale, 1)} px to the mm · `}dimensions in {units}
      </text>
      <Mistakes mistakes={wrong} drawing={drawing} />
    </svg>
  );
}

/** What a drag or a key moves by: half a millimetre, or a sixty-fourth of an inch. */
const gridOf = (units: UnitSystem): number => (units === 'mm' ? 0.5 : 25.4 / 64);

/** A shoulder to take hold of: dragged along the axis, or moved by the arrow keys. A typed figure wins over both. */
function Shoulder({
  shoulder: { x, top, bottom, step },
  part,
  scale,
  units,
  onMove,
}: {
  shoulder: Drawing['shoulders'][number];
  part: Part;
  scale: number;
  units: UnitSystem;
  onMove: MoveShoulder;
}) {
  const from = useRef<{ x: number; scale: number; moved: number } | undefined>(undefined);
  const [held, setHeld] = useState(false);
  const shoulder = part.steps[step];
  const grid = gridOf(units);
  const move = (event: PointerEvent) => {
    const start = from.current;
    if (!start) return;
    // z runs to the left on the drawing.
    const wanted = Math.round((start.x - event.clientX) / start.scale / grid) * grid;
    const by = wanted - start.moved;
    if (Math.abs(by) < 1e-9) return;
    start.moved = wanted;
    onMove(step, by, false);
  };
  return (
    <rect
      className="shoulder"
      x={x - 6}
      y={top - 6}
      width={12}
      height={Math.max(12, bottom - top + 12)}
      role="slider"
      tabIndex={0}
      aria-label={`End of step ${step + 1}`}
      aria-orientation="horizontal"
      aria-valuenow={Number((shoulder?.length.nominal ?? 0).toFixed(3))}
      aria-valuetext={`${formatNominal(shoulder?.length.nominal ?? 0, units)} ${units} long`}
      style={held ? { fill: 'var(--blue-soft)', fillOpacity: 0.7 } : undefined}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, scale, moved: 0 };
        setHeld(true);
      }}
      onPointerMove={move}
      onPointerUp={() => {
        from.current = undefined;
        setHeld(false);
        onMove(step, 0, true);
      }}
      onKeyDown={(event) => {
        const way = event.key === 'ArrowLeft' ? 1 : event.key === 'ArrowRight' ? -1 : 0;
        if (way === 0) return;
        event.preventDefault();
        onMove(step, way * grid, true);
      }}
    />
  );
}
