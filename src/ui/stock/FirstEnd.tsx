'use client';
import type { Stock } from '@/core/model/plan/stock';
import { bodyMarks } from '@/core/drawing/body';
import { pathData } from '@/core/drawing/svg';
import type { Run } from '@/core/model/run';
import { barLayout } from '@/core/plan/stock/barLayout';
import { formatNominal } from '@/core/model/units/length';
import { Hatches } from '../drawing/Hatches';
import { useSize } from '../primitives/useSize';
import { BarRoom, FILLS, MARGIN } from './BarDrawing';

const HEIGHT = 104;

/**
 * The first end of a bar, to one scale both ways: the part in each piece, what is turned away around it, the facings and
 * the cuts. Two pieces and some of the next at least; as many as there is room for when the bar is thick.
 */
export function FirstEnd({ run, stock, pieces }: { run: Run; stock: Stock; pieces: number }) {
  const [room, { width }] = useSize<HTMLDivElement>({ width: 560, height: HEIGHT });
  const { units, part } = run;
  const breadth = Math.max(1, width - 2 * MARGIN);
  const scale = Math.min((HEIGHT - 8) / stock.over, breadth / (stock.firstEnd + 2.5 * stock.each.value));
  const shown = Math.min(stock.barLength, breadth / scale);
  const axis = HEIGHT / 2;
  const x = (z: number) => width - MARGIN - z * scale;
  const [high, low] = [axis - (stock.over / 2) * scale, axis + (stock.over / 2) * scale];
  const figure = (name: string, mm: number) => `${name} ${formatNominal(mm, units)}`;
  const words = [
    ...(stock.firstEnd > 0 ? [figure('first end', stock.firstEnd)] : []),
    figure('facing', stock.frontFacing),
    ...(stock.centreEnd > 0 ? [figure('centre end', stock.centreEnd)] : []),
    figure('piece', part.length),
    ...(stock.spigot > 0 ? [figure('spigot', stock.spigot)] : []),
    figure('facing', stock.backFacing),
    stock.blade ? figure('blade', stock.blade.width) : figure('saw', stock.kerf),
  ].join(' · ');
  return (
    <BarRoom ref={room}>
      <svg
        width={width}
        height={HEIGHT + 20}
        role="img"
        aria-label={`The first end of the bar, larger: ${words} ${units}`}
      >
        <Hatches />
        {barLayout(run, stock, pieces)
          .filter(({ from }) => from < shown)
          .map(({ what, from, to }) => (
            <g key={`${what} ${from}`}>
              <rect
                x={x(Math.min(to, shown))}
                y={high}
                width={(Math.min(to, shown) - from) * scale}
                height={low - high}
                fill={what === 'piece' ? 'url(#hatch-stock)' : FILLS[what]}
                stroke="var(--ink-soft)"
                strokeWidth={0.6}
              />
              {what === 'piece' &&
                to <= shown &&
                bodyMarks(part, { x: (z) => x(from + z), y: (r) => axis - r * scale }).map(
                  (mark, index) =>
                    mark.kind === 'metal' && (
                      <path
                        key={index}
                        d={pathData(mark.corners, true)}
                        fill="var(--metal)"
                        stroke="var(--ink)"
                        strokeWidth={0.9}
                      />
                    ),
                )}
            </g>
          ))}
        {shown < stock.barLength && <Break x={x(shown)} high={high} low={low} />}
        <text x={width - MARGIN} y={HEIGHT + 14} textAnchor="end">
          {words} {units}; hatched is cut away
        </text>
      </svg>
    </BarRoom>
  );
}

/** The rest of the bar is not drawn. */
function Break({ x, high, low }: { x: number; high: number; low: number }) {
  const middle = (high + low) / 2;
  return (
    <path
      d={`M${x},${high - 5}L${x},${middle - 8}L${x - 6},${middle - 3}L${x + 6},${middle + 3}L${x},${middle + 8}L${x},${low + 5}`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth={1.2}
    />
  );
}
