'use client';
import { memo } from 'react';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { formatLength, type UnitSystem } from '@/core/model/units/length';
import { pinShape, pinShort, pinWords, type PinShape } from '@/core/present/stop';
import type { Pin } from '@/core/plan/stops/planStops';
import type { SheetLayout } from './sheetLayout';
import { CrossStopsRail } from './CrossStops';
import { pinPlaces, QUILL, stopsRail, UPRIGHT } from './stopsRail';

/** So long the blocks of a pin are drawn at most, px. */
const MOST_BLOCKS = 36;

interface Props {
  planned: PlannedSetup;
  layout: SheetLayout;
  /** Top and height of the lane, and where the tiles and the work begin. */
  top: number;
  routeTop: number;
  selected: string | undefined;
  onSelect: (key: string) => void;
}

const upright = (x: number, y: number) => ({ transform: `translate(${x} ${y}) rotate(-90)` });

/** Pixels that a letter of a label takes, about. */
const LETTER = 6;

/** What a pin is, and how many share it; in short where its neighbours leave no room for more. */
function labelOf(pin: Pin, shared: boolean, room: number, units: UnitSystem): string {
  const times = shared ? ` ×${pin.operations.length}` : '';
  const words = `${pinWords(pin, units)}${times}`;
  return words.length * LETTER > room ? `${pinShort(pin, units)}${times}` : words;
}

const round = (x: number, y: number, r: number) =>
  `M${x - r},${y}a${r},${r} 0 1 0 ${2 * r},0a${r},${r} 0 1 0 ${-2 * r},0Z`;

/** The head of a pin by the shape of its device. */
function headOf(shape: PinShape, x: number, y: number): string {
  if (shape === 'square') return `M${x - 8.5},${y - 8.5}h17v17h-17Z`;
  if (shape === 'diamond') return `M${x},${y - 12}L${x + 12},${y}L${x},${y + 12}L${x - 12},${y}Z`;
  if (shape === 'drop') return `M${x - 9},${y - 9}h18v9a9,9 0 0 1 -18,0Z`;
  return round(x, y, 9);
}

/** What is laid in before a pin's station as blocks side by side, each as long as its share, px. */
export function blocksOf(
  { spacers = [], feeler }: Pick<Pin, 'spacers' | 'feeler'>,
  right: number,
  room: number,
): { x: number; width: number }[] {
  const laid = feeler === undefined ? spacers : [feeler];
  const whole = laid.reduce((sum, length) => sum + length, 0);
  let x = right;
  return laid.map((length) => {
    const width = (room * length) / whole;
    x -= width;
    return { x, width };
  });
}

/** The blocks on the rail, on the side from which the slide comes against them. */
function Blocks({ pin, x: right, room, y }: { pin: Pin; x: number; room: number; y: number }) {
  return blocksOf(pin, right, Math.min(MOST_BLOCKS, room)).map(({ x, width }) => (
    <rect
      key={x}
      data-block={pin.letter}
      x={x}
      y={y - 6}
      width={width}
      height={12}
      fill="var(--metal)"
      stroke="var(--ink)"
    />
  ));
}

/** The head of a pin on its rail, with its letter; a ring round it where several share it. */
function PinHead({ pin, x, y, chosen }: { pin: Pin; x: number; y: number; chosen: boolean }) {
  const shape = pinShape(pin);
  const colour = chosen ? 'var(--blue)' : 'var(--ink)';
  return (
    <>
      <path
        data-pin={pin.letter}
        d={headOf(shape, x, y)}
        fill={chosen ? 'var(--blue)' : 'var(--sheet)'}
        stroke={colour}
        strokeWidth="2"
        strokeDasharray={shape === 'open' ? '3 2.5' : undefined}
      />
      {pin.operations.length > 1 && <circle cx={x} cy={y} r="12.5" fill="none" stroke={colour} strokeWidth="1" />}
      <text
        x={x}
        y={y + 4.5}
        textAnchor="middle"
        style={{ fill: chosen ? 'var(--on-blue)' : 'var(--ink)', fontWeight: 700, fontSize: 12 }}
      >
        {pin.letter}
      </text>
    </>
  );
}

/** A rail with a pin for each place where something stops; a hairline rises from it to what it makes. */
export const StopsLane = memo(function StopsLane({ planned, layout, top, routeTop, selected, onSelect }: Props) {
  const { units } = planned.setup.run;
  const { gap, crowded, rail: down } = stopsRail(planned, layout.width);
  const rail = top + down;
  const { places, heads } = pinPlaces(planned, layout);
  const stations = new Set(planned.pins.flatMap(({ means, place }) => (means === 'station' ? [place] : []))).size;
  return (
    <g>
      <text x={14} y={top + 22} className="lane">
        Stops
      </text>
      <text x={14} y={top + 40} className="soft">
        {stations} of {planned.setup.run.shop.machine.stations} stations
      </text>
      <line x1={130} x2={layout.width - 16} y1={rail} y2={rail} stroke="var(--ink)" strokeWidth="3" />
      {planned.pins.some(({ axis }) => axis === 'quill') && (
        <line x1={130} x2={layout.width - 16} y1={rail + QUILL} y2={rail + QUILL} stroke="var(--ink-soft)" />
      )}
      <CrossStopsRail {...{ planned, layout, top, selected, onSelect }} />
      {planned.pins.map((pin, index) => (
        <Blocks key={pin.letter} pin={pin} x={(heads[index] ?? 0) - 9} room={gap - 24} y={rail} />
      ))}
      {planned.pins.map((pin, index) => {
        const chosen = selected !== undefined && pin.operations.includes(selected);
        const shared = pin.operations.length > 1;
        const y = rail + (pin.axis === 'quill' ? QUILL : 0);
        const [place, head] = [places[index] ?? 0, heads[index] ?? 0];
        const first = planned.operations.findIndex(({ key }) => key === pin.operations[0]);
        const colour = chosen ? 'var(--blue)' : 'var(--ink)';
        return (
          <g key={pin.letter} onClick={() => onSelect(pin.operations[0] ?? '')} style={{ cursor: 'pointer' }}>
            <path
              d={`M${place},${chosen ? layout.work.axis : routeTop + first * layout.rowHeight + 2}V${top + 2}L${head},${top + 16}V${y}`}
              fill="none"
              stroke={colour}
              strokeWidth={chosen ? 2 : 1}
              strokeDasharray={chosen ? undefined : '1.5 3.5'}
            />
            <PinHead pin={pin} x={head} y={y} chosen={chosen} />
            <text
              {...(crowded ? upright(head + 13, rail - 14) : { x: head + 5, y: rail - 14 })}
              textAnchor="start"
              className={chosen ? 'chosen' : 'strong'}
            >
              {formatLength(pin.setting, units, pin.fine)}
            </text>
            <text
              {...(crowded ? upright(head + 4, y + 16) : { x: head, y: rail + (pin.axis === 'quill' ? 31 : 25) })}
              textAnchor={crowded ? 'end' : 'middle'}
              className="soft"
            >
              {labelOf(pin, shared, crowded ? UPRIGHT : gap, units)}
            </text>
          </g>
        );
      })}
    </g>
  );
});
