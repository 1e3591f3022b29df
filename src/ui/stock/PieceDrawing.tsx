'use client';
import type { Piece } from '@/core/model/plan/stock';
import { bodyMarks, workMarks } from '@/core/drawing/body';
import type { Mark } from '@/core/drawing/marks';
import { pathData } from '@/core/drawing/svg';
import type { Run } from '@/core/model/run';
import { formatNominal } from '@/core/model/units/length';
import { Hatches } from '../drawing/Hatches';
import { useSize } from '../primitives/useSize';
import { BarRoom, MARGIN } from './BarDrawing';

const HEIGHT = 170;

/** A piece as it arrives, to one scale both ways, and the part in it. */
export function PieceDrawing({ run, piece, size }: { run: Run; piece: Piece; size: number }) {
  const [room, { width }] = useSize<HTMLDivElement>({ width: 560, height: HEIGHT });
  const { units, part } = run;
  const length = piece.ahead + part.length + piece.behind;
  const scale = Math.min((HEIGHT - 8) / size, (width - 2 * MARGIN) / length);
  const frame = {
    x: (z: number) => (width + length * scale) / 2 - (z + piece.ahead) * scale,
    y: (r: number) => HEIGHT / 2 - r * scale,
  };
  const figure = (name: string, mm: number) => `${name} ${formatNominal(mm, units)}`;
  const words = [
    figure('before its face', piece.ahead),
    figure('piece', part.length),
    figure('behind it', piece.behind),
  ].join(' · ');
  const metal = (marks: Mark[], fill: string) =>
    marks.map(
      (mark, index) =>
        mark.kind === 'metal' && (
          <path key={index} d={pathData(mark.corners, true)} fill={fill} stroke="var(--ink)" strokeWidth={0.9} />
        ),
    );
  return (
    <BarRoom ref={room}>
      <svg width={width} height={HEIGHT + 20} role="img" aria-label={`The piece and the part in it: ${words} ${units}`}>
        <Hatches />
        {metal(workMarks(piece, frame), 'url(#hatch-stock)')}
        {metal(bodyMarks(part, frame), 'var(--metal)')}
        <text x={width - MARGIN} y={HEIGHT + 14} textAnchor="end">
          {words} {units}; hatched is cut away
        </text>
      </svg>
    </BarRoom>
  );
}
