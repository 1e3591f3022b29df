'use client';
import type { Stock } from '@/core/model/plan/stock';
import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import type { Run } from '@/core/model/run';
import { barLayout, type Stretch } from '@/core/plan/stock/barLayout';
import { formatLength, formatNominal } from '@/core/model/units/length';
import { Hatches } from '../drawing/Hatches';
import { useSize } from '../primitives/useSize';

export const BarRoom = styled.div`
  svg {
    display: block;
  }
  text {
    font: 12px var(--sans);
    fill: var(--ink-soft);
  }
`;

/** How each stretch of a bar is shown. */
export const FILLS: Record<Stretch['what'], string> = {
  'first end': 'url(#hatch-cut)',
  facing: 'url(#hatch-cut)',
  'centre end': 'url(#hatch-stock)',
  spigot: 'url(#hatch-stock)',
  piece: 'var(--metal)',
  blade: 'var(--ink)',
  kerf: 'var(--ink)',
  held: 'url(#hatch-jaws)',
  'left over': 'var(--sheet)',
};

/** Room at both sides, so that a break line finds its place, px. */
export const MARGIN = 12;
const HEIGHT = 26;

/** A cut that would be thinner on the screen is drawn this wide, px. */
const HAIRLINE = 0.6;

const lengthOf = (stretches: Stretch[], wanted: Stretch['what']) =>
  stretches.reduce((sum, { what, from, to }) => (what === wanted ? sum + to - from : sum), 0);

/** A whole bar, its lengths to scale: pieces, cuts, what is held and what is left. The end worked first is at the right. */
export function WholeBar({ run, stock, pieces, name }: { run: Run; stock: Stock; pieces: number; name: string }) {
  const [room, { width }] = useSize<HTMLDivElement>({ width: 560, height: 46 });
  const { units } = run;
  const stretches = barLayout(run, stock, pieces);
  const x = scaleLinear([0, stock.barLength], [width - MARGIN, MARGIN]);
  const [held, left] = [lengthOf(stretches, 'held'), lengthOf(stretches, 'left over')];
  const long = (mm: number) => `${formatLength(mm, units)} ${units}`;
  const rest = `${held > 0 ? `${long(held)} held · ` : ''}${long(left)} left over of ${formatNominal(stock.barLength, units)} ${units}`;
  const made = `${pieces} ${pieces === 1 ? 'piece' : 'pieces'} of ${long(stock.each.value)}`;
  return (
    <BarRoom ref={room}>
      <svg width={width} height={HEIGHT + 22} role="img" aria-label={`${name}: ${made}, ${rest}`}>
        <Hatches />
        {stretches.map(({ what, from, to }) => (
          <rect
            key={`${what} ${from}`}
            x={x(to)}
            y={2}
            width={Math.max(what === 'blade' || what === 'kerf' ? HAIRLINE : 0, x(from) - x(to))}
            height={HEIGHT}
            fill={FILLS[what]}
          />
        ))}
        <rect
          x={MARGIN}
          y={2}
          width={Math.max(0, width - 2 * MARGIN)}
          height={HEIGHT}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.2}
        />
        <text x={width - MARGIN} y={HEIGHT + 17} textAnchor="end">
          {made}
        </text>
        <text x={MARGIN} y={HEIGHT + 17}>
          {rest}
        </text>
      </svg>
    </BarRoom>
  );
}
