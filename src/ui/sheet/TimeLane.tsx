'use client';
import { sayFixed } from '@/core/model/units/mark';
import { memo } from 'react';
import { scaleLinear } from 'd3-scale';
import type { Plan } from '@/core/plan/plan';
import type { SheetLayout } from './sheetLayout';

interface Props {
  plan: Plan;
  layout: SheetLayout;
  top: number;
  selected: string | undefined;
  onSelect: (key: string) => void;
}

interface Block {
  from: number;
  minutes: number;
  kind: 'cut' | 'hand' | 'load';
  key?: string;
  number?: number;
}

/** One piece's minutes in a row: handling, cutting, handling, cutting … through every set-up. */
function blocksOf({ setups }: Plan): Block[] {
  let at = 0;
  const block = (minutes: number, rest: Omit<Block, 'from' | 'minutes'>): Block => {
    const from = at;
    at += minutes;
    return { from, minutes, ...rest };
  };
  return setups.flatMap(({ loading, operations }) => [
    block(loading.value, { kind: 'load' }),
    ...operations.flatMap(({ key, number, hand, cutting }) => [
      block(hand.value, { kind: 'hand', key }),
      block(cutting.value, { kind: 'cut', key, number }),
    ]),
  ]);
}

/** The strip of one piece's time; each block belongs to its tile. */
export const TimeLane = memo(function TimeLane({ plan, layout, top, selected, onSelect }: Props) {
  const blocks = blocksOf(plan);
  const total = blocks.reduce((minutes, block) => minutes + block.minutes, 0);
  const x = scaleLinear([0, total], [96, layout.width - 18]);
  const [y, height] = [top + 26, 22];
  // Where each set-up after the first begins.
  const begins = blocks.filter(({ kind }) => kind === 'load').slice(1);
  return (
    <g>
      <text x={14} y={top + 22} className="lane">
        Time
      </text>
      {blocks.map((block, index) => {
        const chosen = block.key !== undefined && block.key === selected;
        const fill = chosen
          ? block.kind === 'cut'
            ? 'var(--blue)'
            : 'var(--blue-soft)'
          : block.kind === 'cut'
            ? 'var(--brass)'
            : block.kind === 'load'
              ? 'var(--metal)'
              : 'url(#hatch-hand)';
        const [left, width] = [x(block.from), Math.max(1, x(block.from + block.minutes) - x(block.from))];
        return (
          <g
            key={index}
            onClick={() => block.key && onSelect(block.key)}
            style={{ cursor: block.key ? 'pointer' : 'default' }}
          >
            <rect x={left} y={y} width={width} height={height} fill="var(--sheet)" />
            <rect
              x={left}
              y={y}
              width={width}
              height={height}
              fill={fill}
              stroke={chosen ? 'var(--blue)' : 'var(--ink-soft)'}
              strokeWidth="0.8"
            />
            {chosen && block.kind === 'cut' && block.minutes > 0 && (
              <text x={left + width / 2} y={y - 5} textAnchor="middle" className="chosen">
                {block.number}
              </text>
            )}
          </g>
        );
      })}
      {begins.map(({ from }, index) => (
        <g key={from}>
          <line x1={x(from)} x2={x(from)} y1={y - 8} y2={y + height + 4} stroke="var(--ink)" strokeWidth="2" />
          <text x={x(from) + 4} y={y - 5} className="soft">
            set-up {index + 2}
          </text>
        </g>
      ))}
      <text x={96} y={y + height + 15} className="soft">
        cutting (solid) {sayFixed(plan.times.cutting.value, 2)} · handling (hatched){' '}
        {sayFixed(plan.times.hand.value, 2)} min
      </text>
    </g>
  );
});
