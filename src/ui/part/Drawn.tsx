'use client';
import styled from 'styled-components';
import { lineBelow, type Mark } from '@/core/drawing/marks';
import { LINES, pathData } from '@/core/drawing/svg';

const STROKES: Partial<Record<string, string>> = { outline: 'var(--ink)', critical: 'var(--ink)', edge: 'var(--ink)' };

/** Text height of the drawing on the screen, px. */
export const TEXT_HEIGHT = 12.5;

/** The room that a drawing fills; its letters stand out from the lines behind them. */
export const DrawingRoom = styled.div`
  position: relative;
  height: 100%;
  svg {
    display: block;
  }
  text {
    font: ${TEXT_HEIGHT}px var(--mono);
    fill: var(--ink);
    stroke: var(--sheet);
    stroke-width: 4px;
    paint-order: stroke;
  }
  text.soft {
    fill: var(--ink-soft);
  }
`;

/** A mark of the drawing on the screen; what is chosen is blue and bold. */
export function Drawn({
  mark,
  h,
  chosen,
  strong = chosen,
  thinnest = 0.7,
}: {
  mark: Mark;
  h: number;
  chosen: boolean;
  /** Of several that are blue, the one that is pointed at. */
  strong?: boolean;
  /** Lines are never thinner, in units of the picture. */
  thinnest?: number;
}) {
  if (mark.kind === 'metal') return <path d={pathData(mark.corners, true)} fill="var(--metal)" />;
  if (mark.kind === 'line') {
    const { width, dash } = LINES[mark.use];
    return (
      <path
        d={pathData(mark.corners)}
        fill="none"
        stroke={chosen ? 'var(--blue)' : (STROKES[mark.use] ?? 'var(--ink-soft)')}
        strokeWidth={Math.max(thinnest, width * h) * (strong ? 1.6 : 1)}
        strokeLinejoin="round"
        {...(dash ? { strokeDasharray: dash.map((part) => part * h).join(' ') } : {})}
      />
    );
  }
  const below = mark.critical ? lineBelow(mark, h) : undefined;
  return (
    <>
      <text
        x={mark.x}
        y={mark.y}
        textAnchor={mark.anchor}
        style={{
          ...(chosen ? { fill: 'var(--blue)', fontWeight: 700 } : {}),
          ...(mark.critical ? { fontWeight: 700 } : {}),
        }}
      >
        {mark.text}
      </text>
      {below && (
        <path
          d={`M${below.from},${below.y}H${below.to}`}
          stroke={chosen ? 'var(--blue)' : 'var(--ink)'}
          strokeWidth={Math.max(thinnest, 0.08 * h)}
        />
      )}
    </>
  );
}
