'use client';
import { sayFixed } from '@/core/model/units/mark';
import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import { capabilityOf, trendOf } from '@/core/lathe/trend';
import { formatLength, type UnitSystem } from '@/core/model/units/length';
import type { SizeChart as Chart } from '@/core/present/planActual';
import { useSize } from '../primitives/useSize';

const Frame = styled.figure`
  margin: 0 0 16px;
  h3 {
    font-size: 15px;
  }
  p {
    font-size: 14px;
  }
  svg {
    display: block;
    width: 100%;
  }
  text {
    fill: var(--ink-soft);
    font: 12px var(--mono);
  }
`;

const HIGH = 150;
const MARGIN = { left: 64, right: 16, top: 10, bottom: 22 };

interface Props {
  chart: Chart;
  units: UnitSystem;
}

const isOut = (size: number, { lower, upper }: Chart) => size < lower - 1e-9 || size > upper + 1e-9;

/** A size piece by piece between its limits, with where it goes and what would bring it back. */
export function SizeChart({ chart, units }: Props) {
  const { what, every, readings } = chart;
  const fine = (mm: number) => formatLength(mm, units, true);
  const trend = trendOf(readings, chart, every);
  const capability = capabilityOf(
    readings.map(({ size }) => size),
    chart,
  );
  return (
    <Frame>
      <h3>{what}</h3>
      <Plot chart={chart} units={units} />
      <p>
        {trend
          ? `It goes towards its ${trend.towards} limit, ${fine(trend.perPiece)} a piece: met at piece ${trend.metAt}. Move it by ${fine(trend.correction)}.`
          : 'No trend.'}
        {capability && ` Cpk ${sayFixed(capability.cpk, 2)} of ${capability.count} readings.`}
      </p>
      <ol className="unseen" aria-label={`Readings of ${what}`}>
        {readings.map(({ piece, size, correctedAfter }) => (
          <li key={piece}>
            piece {piece}: {fine(size)}
            {isOut(size, chart) ? ', beyond its limits' : ''}
            {correctedAfter ? ', corrected after it' : ''}
          </li>
        ))}
      </ol>
    </Frame>
  );
}

/** What is out stands out by its shape, what was corrected by a line. */
function Plot({ chart, units }: Props) {
  const { what, target, lower, upper, readings } = chart;
  const [room, { width }] = useSize<HTMLDivElement>({ width: 420, height: HIGH });
  const sizes = readings.map(({ size }) => size);
  const pieces = readings.map(({ piece }) => piece);
  const slack = 0.25 * (upper - lower);
  const right = width - MARGIN.right;
  const x = scaleLinear([Math.min(1, ...pieces), Math.max(8, ...pieces)], [MARGIN.left, right]);
  const y = scaleLinear(
    [Math.min(lower - slack, ...sizes), Math.max(upper + slack, ...sizes)],
    [HIGH - MARGIN.bottom, MARGIN.top],
  );
  const fine = (mm: number) => formatLength(mm, units, true);
  const across = { x1: MARGIN.left, x2: right, stroke: 'var(--ink-soft)' };
  return (
    <div ref={room}>
      <svg
        height={HIGH}
        role="img"
        aria-label={`${what}: ${readings.length} readings between ${fine(lower)} and ${fine(upper)}`}
      >
        <rect
          x={MARGIN.left}
          y={y(upper)}
          width={Math.max(0, right - MARGIN.left)}
          height={y(lower) - y(upper)}
          fill="var(--metal)"
          opacity="0.6"
        />
        {[upper, target, lower].map((limit) => (
          <g key={limit}>
            <line {...across} y1={y(limit)} y2={y(limit)} strokeDasharray={limit === target ? '2 4' : undefined} />
            <text x={MARGIN.left - 6} y={y(limit) + 4} textAnchor="end">
              {fine(limit)}
            </text>
          </g>
        ))}
        <path
          d={`M${readings.map(({ piece, size }) => `${x(piece)},${y(size)}`).join('L')}`}
          fill="none"
          stroke="var(--ink)"
        />
        {readings.map((reading) => (
          <Point key={reading.piece} reading={reading} chart={chart} x={x} y={y} />
        ))}
        <text x={right} y={HIGH - 5} textAnchor="end">
          piece {Math.max(...pieces)}
        </text>
      </svg>
    </div>
  );
}

interface PointProps {
  reading: Chart['readings'][number];
  chart: Chart;
  x: (piece: number) => number;
  y: (size: number) => number;
}

function Point({ reading: { piece, size, correctedAfter }, chart, x, y }: PointProps) {
  const after = x(piece + 0.5);
  return (
    <>
      {isOut(size, chart) ? (
        <path d={`M${x(piece)},${y(size) - 7}l7,7l-7,7l-7,-7Z`} fill="var(--oxide)" />
      ) : (
        <circle cx={x(piece)} cy={y(size)} r="4" fill="var(--ink)" />
      )}
      {correctedAfter && (
        <line
          x1={after}
          x2={after}
          y1={MARGIN.top}
          y2={HIGH - MARGIN.bottom}
          stroke="var(--blue)"
          strokeDasharray="4 3"
        />
      )}
    </>
  );
}
