'use client';
import { sayFixed } from '@/core/model/units/mark';
import { memo } from 'react';
import styled from 'styled-components';
import type { Plan } from '@/core/plan/plan';
import { stockView } from '@/core/present/stock';
import { formatLength } from '@/core/model/units/length';
import { sayMinutes } from '@/core/model/units/show';
import { WaysStrip } from './WaysStrip';
import { FigureButton } from './Working';

const Bar = styled.footer`
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  gap: 4px 24px;
  padding: 8px 24px 10px;
  border-top: 1px solid var(--line);
  background: var(--paper);
  /* In sight however long the route is; where two columns do not fit, it is the page's end. */
  @media (min-width: 981px) {
    position: sticky;
    bottom: 0;
    z-index: 1;
  }
  dl {
    display: contents;
  }
  dl > div {
    display: flex;
    flex-direction: column-reverse;
  }
  dt {
    color: var(--ink-soft);
    font-size: 13px;
  }
  dd {
    font: 700 18px var(--mono);
  }
  dd button {
    text-align: left;
  }
`;

/** The seven figures that people ask for first, and the ways that the batch could be run. */
export const Foot = memo(function Foot({ id, plan }: { id: string; plan: Plan }) {
  const { times, stock, run } = plan;
  const { units } = run;
  const view = stockView(stock, units);
  const figures = [
    [times.piece, sayMinutes(times.piece.value), 'a piece'],
    [times.batch, sayMinutes(times.batch.value), `batch of ${run.quantity}`],
    [times.setup, sayMinutes(times.setup.value), 'setting up'],
    [stock.bars, String(stock.bars.value), view.counted],
    ...(view.isBar
      ? ([
          [stock.piecesPerBar, String(stock.piecesPerBar.value), 'pieces a bar'],
          [stock.leftOver, `${formatLength(stock.leftOver.value, units)} ${units}`, view.left],
        ] as const)
      : []),
    [stock.mass, `${sayFixed(stock.mass.value, 2)} kg`, 'of stock'],
  ] as const;
  return (
    <Bar aria-label="Figures of the run">
      <dl>
        {figures.map(([figure, text, name]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>
              <FigureButton figure={figure} units={units}>
                {text}
              </FigureButton>
            </dd>
          </div>
        ))}
      </dl>
      <WaysStrip id={id} plan={plan} />
    </Bar>
  );
});
