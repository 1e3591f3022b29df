'use client';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import type { Still } from '@/core/present/film';
import { outsideOf } from '@/core/model/workpiece/finishedPart';
import type { FixedBody } from '@/core/plan/proof/bodies/fixed';
import { bodyPath, edgePiecePath, sectionOutline, sectionPath } from '../drawing/sectionPaths';
import { outlinePath, type Frame } from '../drawing/paths';
import type { SheetLayout } from './sheetLayout';

const ORIGIN = { z: 0, r: 0 };

/** Drawn by the work lane already, or without an end on the sheet. */
const isDrawn = ({ name }: FixedBody): boolean => name !== 'centre';

/** The work as it is at one moment of the film, and the tool where it stands: edge, and what must touch nothing. */
export function PlayedWork({ still, planned, layout }: { still: Still; planned: PlannedSetup; layout: SheetLayout }) {
  const { metal, at, shot } = still;
  const { work, x, y, names, width } = layout;
  const upper: Frame = { x, y };
  const halves: Frame[] = work.whole ? [upper, { x, y: (r) => 2 * work.axis - y(r) }] : [upper];
  const part = outsideOf(planned.setup.part);
  const isMet = shot.faults.length > 0;
  const stroke = isMet ? 'var(--oxide)' : 'var(--ink)';
  return (
    <svg
      width={width}
      height={work.height}
      role="img"
      aria-label={`Set-up ${planned.setup.number}: the cut as it goes`}
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
    >
      <defs>
        <clipPath id="played">
          <rect x={Math.min(names, 160)} y={0} width={width} height={work.height} />
        </clipPath>
      </defs>
      <g clipPath="url(#played)">
        {halves.map((frame, index) => (
          <g key={index}>
            <path d={sectionPath(frame, shot.before, layout.to)} fill="url(#hatch-cut)" />
            <path d={sectionPath(frame, metal, layout.to)} fill="var(--sheet)" />
            <path
              d={sectionPath(frame, metal, layout.to)}
              fill="var(--metal)"
              stroke="var(--metal)"
              strokeWidth="0.6"
            />
            <path d={outlinePath(frame, part)} fill="none" stroke="var(--ink-soft)" strokeDasharray="4 3" />
            <path d={sectionOutline(frame, metal, layout.to)} fill="none" stroke="var(--ink)" strokeWidth="1.6" />
          </g>
        ))}
        {shot.still
          .filter((body) => !isDrawn(body))
          .map(({ name, polygon }) => (
            <path key={name} d={bodyPath(upper, polygon, ORIGIN)} fill="var(--line)" stroke="var(--ink-soft)" />
          ))}
        {shot.shape.body.map(({ polygon }, index) => (
          <path
            key={index}
            d={bodyPath(upper, polygon, at)}
            fill="var(--line)"
            fillOpacity="0.8"
            stroke={stroke}
            strokeWidth={isMet ? 2.5 : 1}
          />
        ))}
        {shot.shape.edge.map(({ piece }, index) => (
          <path
            key={index}
            d={edgePiecePath(upper, piece, at)}
            fill="var(--brass)"
            stroke={stroke}
            strokeWidth={isMet ? 2 : 0.8}
          />
        ))}
        {shot.faults.map(({ z, diameter }, index) =>
          z === undefined || diameter === undefined ? null : (
            <circle
              key={index}
              cx={x(planned.setup.end === 'front' ? z : planned.setup.part.length - z)}
              cy={y(diameter / 2)}
              r="9"
              fill="none"
              stroke="var(--oxide)"
              strokeWidth="2.5"
            />
          ),
        )}
      </g>
    </svg>
  );
}
