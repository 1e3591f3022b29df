'use client';
import { useId, useMemo } from 'react';
import { drawBoth } from '@/core/drawing/drawBoth';
import type { Mark } from '@/core/drawing/marks';
import { pathData } from '@/core/drawing/svg';
import type { Part } from '@/core/model/part/part';
import type { PathMap } from '@/core/ask/revisions/compareParts';
import type { UnitSystem } from '@/core/model/units/length';
import { Hatches } from '../drawing/Hatches';
import { DrawingRoom, Drawn, TEXT_HEIGHT } from '../part/Drawn';
import { useSize } from '../primitives/useSize';

const metal = (marks: Mark[]) =>
  marks.flatMap((mark) => (mark.kind === 'metal' ? [pathData(mark.corners, true)] : [])).join(' ');
const outline = (marks: Mark[]) =>
  marks.flatMap((mark) => (mark.kind === 'line' ? [pathData(mark.corners)] : [])).join(' ');

const isOf = (mark: Mark, path: string | undefined) => path !== undefined && 'of' in mark && mark.of === path;

/** Two revisions over one another: what went is hatched, what came is crossed, and what changed is written in blue. */
export function RevisionDrawing({
  before,
  after,
  units,
  paths,
  marked,
}: {
  before: Part;
  after: Part;
  units: UnitSystem;
  /** Which entry of the second is which of the first. */
  paths: PathMap;
  marked: string | undefined;
}) {
  const [room, { width, height }] = useSize<HTMLDivElement>({ width: 640, height: 380 });
  const id = useId();
  const both = useMemo(
    () => drawBoth(before, after, units, { width, height: height - 26, textHeight: TEXT_HEIGHT }, paths),
    [before, after, units, width, height, paths],
  );
  const [old, now] = [metal(both.before), metal(both.after)];
  return (
    <DrawingRoom ref={room}>
      <svg width={width} height={height} role="img" aria-label="Both revisions over one another">
        <Hatches />
        <defs>
          <mask id={`${id}-went`}>
            <path d={old} fill="white" />
            <path d={now} fill="black" />
          </mask>
          <mask id={`${id}-came`}>
            <path d={now} fill="white" />
            <path d={old} fill="black" />
          </mask>
        </defs>
        {both.drawing.marks.map((mark, index) => (
          <Drawn
            key={index}
            mark={mark}
            h={both.drawing.textHeight}
            chosen={both.written.has(mark) || isOf(mark, marked)}
            strong={isOf(mark, marked)}
          />
        ))}
        <rect width={width} height={height} fill="url(#hatch-stock)" mask={`url(#${id}-went)`} />
        <rect width={width} height={height} fill="url(#hatch-came)" mask={`url(#${id}-came)`} />
        <path d={outline(both.before)} fill="none" stroke="var(--brass)" strokeWidth={1.4} strokeDasharray="5 3" />
        <g transform={`translate(10, ${height - 16})`}>
          <rect width="20" height="11" fill="url(#hatch-stock)" stroke="var(--brass)" strokeDasharray="4 2" />
          <text x="27" y="10" className="soft">
            no longer there
          </text>
          <rect x="150" width="20" height="11" fill="url(#hatch-came)" stroke="var(--ink-soft)" />
          <text x="177" y="10" className="soft">
            new
          </text>
          <text x="230" y="10" className="soft">
            dimensions in {units}, of the second; blue: they changed
          </text>
        </g>
      </svg>
    </DrawingRoom>
  );
}
