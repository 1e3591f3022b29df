'use client';
import { scaleLinear, scaleLog } from 'd3-scale';
import { useId, useState } from 'react';
import styled from 'styled-components';
import { useSize } from '../primitives/useSize';

const Frame = styled.div`
  position: relative;
  svg {
    display: block;
    width: 100%;
  }
  text {
    fill: var(--ink-soft);
    font: 12px var(--mono);
  }
  .name {
    fill: var(--ink);
    font: 13px var(--sans);
  }
  circle[tabindex] {
    cursor: pointer;
  }
  circle[tabindex]:focus-visible {
    outline: none;
    stroke: var(--blue);
    stroke-width: 3px;
  }
`;

const Said = styled.p`
  min-height: 20px;
  color: var(--ink);
  font-size: 14px;
`;

/** A line of the chart; each has a stroke of its own, so that none is told by colour alone. */
export interface Series {
  id: string;
  name: string;
  points: [x: number, y: number][];
  strong?: boolean;
}

/** A point to look at, with what is said of it. */
export interface Mark {
  x: number;
  y: number;
  words: string;
}

const DASHES = ['', '7 4', '2 3', '9 3 2 3', '1 5', '12 5'];
const MARGIN = { top: 26, right: 16, bottom: 36, left: 52 };
const HEIGHT = 230;

interface Props {
  title: string;
  series: readonly Series[];
  marks: readonly Mark[];
  x: string;
  y: string;
  sayY: (value: number) => string;
  /** What of the second axis is shown; lines beyond it are cut off there. */
  shown?: [number, number];
}

/** Lines over a quantity that grows by its multiples; every mark takes the focus and says itself. */
export function LineChart({ title, series, marks, x: xName, y: yName, sayY, shown }: Props) {
  const clip = useId();
  const [room, { width }] = useSize<HTMLDivElement>({ width: 560, height: HEIGHT });
  const [said, setSaid] = useState<string>();
  const all = series.flatMap(({ points }) => points);
  const xs = all.map(([x]) => x);
  const x = scaleLog()
    .domain([Math.min(...xs), Math.max(...xs)])
    .range([MARGIN.left, width - MARGIN.right]);
  const y = scaleLinear()
    .domain(shown ?? [0, Math.max(...all.map(([, value]) => value)) * 1.05])
    .range([HEIGHT - MARGIN.bottom, MARGIN.top]);
  const ticks = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10000, 20000, 50000, 100000].filter(
    (figure) => figure >= Math.min(...xs) && figure <= Math.max(...xs),
  );
  return (
    <Frame ref={room}>
      <svg height={HEIGHT} role="group" aria-label={title}>
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={MARGIN.left} x2={width - MARGIN.right} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
            <text x={MARGIN.left - 6} y={y(tick) + 4} textAnchor="end">
              {sayY(tick)}
            </text>
          </g>
        ))}
        {ticks.map((tick) => (
          <text key={tick} x={x(tick)} y={HEIGHT - MARGIN.bottom + 16} textAnchor="middle">
            {tick}
          </text>
        ))}
        <text className="name" x={width - MARGIN.right} y={HEIGHT - 4} textAnchor="end">
          {xName}
        </text>
        <text className="name" x={0} y={13} textAnchor="start">
          {yName}
        </text>
        <clipPath id={clip}>
          <rect
            x={MARGIN.left}
            y={MARGIN.top}
            width={width - MARGIN.left}
            height={HEIGHT - MARGIN.top - MARGIN.bottom}
          />
        </clipPath>
        {series.map(({ id, points, strong }, index) => (
          <path
            clipPath={`url(#${clip})`}
            key={id}
            d={points.map(([px, py], place) => `${place ? 'L' : 'M'}${x(px).toFixed(1)},${y(py).toFixed(1)}`).join('')}
            fill="none"
            stroke={strong ? 'var(--ink)' : 'var(--ink-soft)'}
            strokeWidth={strong ? 2.5 : 1.5}
            strokeDasharray={DASHES[index % DASHES.length]}
          />
        ))}
        {marks.map(({ x: px, y: py, words }) => (
          <circle
            key={words}
            cx={x(px)}
            cy={y(py)}
            r={5}
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth={1.5}
            tabIndex={0}
            role="img"
            aria-label={words}
            onFocus={() => setSaid(words)}
            onMouseEnter={() => setSaid(words)}
          />
        ))}
      </svg>
      <Said aria-live="polite" className="screen-only">
        {said ?? 'Point at a ring, or go there with Tab: it says its figures.'}
      </Said>
    </Frame>
  );
}

/** The stroke of a line, as it stands in the legend. */
export const Stroke = ({ index, strong }: { index: number; strong?: boolean | undefined }) => (
  <svg width={34} height={10} aria-hidden>
    <line
      x1={1}
      x2={33}
      y1={5}
      y2={5}
      stroke={strong ? 'var(--ink)' : 'var(--ink-soft)'}
      strokeWidth={strong ? 2.5 : 1.5}
      strokeDasharray={DASHES[index % DASHES.length]}
    />
  </svg>
);
