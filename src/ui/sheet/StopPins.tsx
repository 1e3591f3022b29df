'use client';
import { useState } from 'react';
import { useDrag } from 'react-aria';
import styled from 'styled-components';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import type { Pin } from '@/core/plan/stops/planStops';
import { formatLength } from '@/core/model/units/length';
import { pinWords } from '@/core/present/stop';
import type { SheetLayout } from './sheetLayout';
import { sayCrossStop } from '@/core/present/operation';
import { crossPlaces, pinPlaces, QUILL, stopsRail } from './stopsRail';
import { StopTray } from './StopTray';

/** Side of a pin's button, px: its head with what a finger needs round it. */
const SIDE = 28;

const Pins = styled.ul`
  margin: 0;
  padding: 0;
  list-style: none;
`;

const Grip = styled.button`
  position: absolute;
  width: ${SIDE}px;
  height: ${SIDE}px;
  padding: 0;
  border: 0;
  border-radius: 50%;
  background: none;
  cursor: grab;
  &:hover,
  &:focus-visible {
    outline: 2px solid var(--blue);
  }
`;

interface Props {
  planned: PlannedSetup;
  layout: SheetLayout;
  top: number;
  selected: string | undefined;
  onSelect: (key: string) => void;
}

/** The pins as real buttons over their drawing: each chooses what it stops, and is dragged to other means. */
export function StopPins({ planned, layout, top, selected, onSelect }: Props) {
  const [dragged, setDragged] = useState<string>();
  const { heads } = pinPlaces(planned, layout);
  const { rail: down, across } = stopsRail(planned, layout.width);
  const rail = top + down;
  const crossed = crossPlaces(planned, layout);
  return (
    <>
      <Pins aria-label={`Stops of set-up ${planned.setup.number}`}>
        {planned.pins.map((pin, index) => (
          <li key={pin.letter}>
            <PinGrip
              pin={pin}
              planned={planned}
              left={(heads[index] ?? 0) - SIDE / 2}
              top={rail + (pin.axis === 'quill' ? QUILL : 0) - SIDE / 2}
              selected={selected}
              onSelect={onSelect}
              onDrag={setDragged}
            />
          </li>
        ))}
        {planned.crossStops.map((stop, index) => (
          <li key={stop.place}>
            <Grip
              type="button"
              aria-label={`${sayCrossStop(stop)}, at ⌀${formatLength(stop.diameter, planned.setup.run.units, true)}: ${sayOperations(stop, planned)}`}
              aria-pressed={stop.operations.some((key) => key === selected)}
              style={{ left: (crossed[index] ?? 0) - SIDE / 2, top: top + across - SIDE / 2, cursor: 'pointer' }}
              onClick={() => onSelect(stop.operations[0] ?? '')}
            />
          </li>
        ))}
      </Pins>
      {dragged !== undefined && <StopTray operation={dragged} top={top} width={layout.width} />}
    </>
  );
}

/** The operations that a stop serves: `30 finish, 40 chamfer`. */
const sayOperations = ({ operations }: { operations: readonly string[] }, { operations: all }: PlannedSetup): string =>
  all.flatMap(({ key, number, name }) => (operations.includes(key) ? [`${number} ${name}`] : [])).join(', ');

/** What a pin is, where, and what it stops, for who hears it. */
function nameOf({ letter, operations, setting, fine, ...pin }: Pin, planned: PlannedSetup): string {
  const { units } = planned.setup.run;
  const words = pinWords({ letter, operations, setting, fine, ...pin }, units);
  return `${letter}, ${words}, at ${formatLength(setting, units, fine)} ${units}: ${sayOperations({ operations }, planned)}`;
}

interface GripProps extends Pick<Props, 'planned' | 'selected' | 'onSelect' | 'top'> {
  pin: Pin;
  left: number;
  onDrag: (operation: string | undefined) => void;
}

function PinGrip({ pin, planned, left, top, selected, onSelect, onDrag }: GripProps) {
  const { operations } = pin;
  const at = operations.findIndex((key) => key === selected);
  // Pressed again it goes on to the next that shares it.
  const next = operations[(at + 1) % operations.length] ?? '';
  const { dragProps } = useDrag({
    hasDragButton: true,
    getItems: () => [{ 'text/plain': pin.letter }],
    onDragStart: () => onDrag(operations[Math.max(0, at)]),
    onDragEnd: () => onDrag(undefined),
  });
  return (
    <Grip
      {...dragProps}
      type="button"
      aria-label={nameOf(pin, planned)}
      aria-pressed={at >= 0}
      style={{ left, top }}
      onClick={() => onSelect(next)}
    />
  );
}
