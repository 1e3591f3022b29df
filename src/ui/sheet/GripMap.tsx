'use client';
import { gripMap, type GripZone } from '@/core/plan/holding/gripMap';
import type { Workpiece } from '@/core/model/workpiece/workpiece';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { formatNominal, type UnitSystem } from '@/core/model/units/length';
import type { SheetLayout } from './sheetLayout';

/** What may be held of the work as it is after an operation; before any, of the work as it comes. */
export function gripZones(
  { setup, operations }: PlannedSetup,
  operation: TimedOperation | undefined,
  work: Workpiece,
): GripZone[] {
  const upTo = operation ? operations.indexOf(operation) + 1 : 0;
  const made = operations.slice(0, upTo).flatMap(({ makes = [] }) => makes);
  return gripMap(work, setup, made);
}

const LINE = { bare: undefined, unmarked: '5 4', never: undefined };
const WORDS = { bare: 'by jaws', unmarked: 'not marked', never: 'never' };

/** How far beside the outline a mark runs, and its thickness, px. */
const BESIDE = 6;
const THICK = 3;

/** Beside the outline: a whole line where the work may be held bare, a broken one where only by what marks nothing. */
export function GripMarks({ zones, layout: { x, y, to } }: { zones: GripZone[]; layout: SheetLayout }) {
  return (
    <g stroke="var(--ink)" strokeWidth={THICK}>
      {zones
        .filter(({ hold, z0 }) => hold !== 'never' && z0 < to)
        .map(({ z0, z1, diameter, hold }) => (
          <line
            key={z0}
            x1={x(z0) - 2}
            x2={x(Math.min(z1, to)) + 2}
            y1={y(diameter / 2) - BESIDE}
            y2={y(diameter / 2) - BESIDE}
            strokeDasharray={LINE[hold]}
          />
        ))}
    </g>
  );
}

/** Room for a row, px, and how many stand beside the work. */
const ROW = 18;
const MOST = 7;

/** The same in words, of what may be held: diameter and length, the metal under it, and how. */
export function GripList({
  zones,
  units,
  top,
  layout: { work },
}: {
  zones: GripZone[];
  units: UnitSystem;
  top: number;
  layout: SheetLayout;
}) {
  const held = zones.filter(({ hold }) => hold !== 'never');
  const room = Math.min(MOST, Math.floor((work.height - top - 20) / ROW));
  if (room < 1) return null;
  const shown = held.slice(0, held.length > room ? room - 1 : room);
  const short = (mm: number) => formatNominal(Number(mm.toFixed(units === 'mm' ? 1 : 2)), units);
  const row = (index: number) => top + ROW * (index + 1);
  return (
    <g>
      <text x={14} y={top} style={{ fontWeight: 600 }}>
        May be gripped
      </text>
      {shown.map(({ z0, z1, diameter, wall, hold }, index) => (
        <g key={z0} transform={`translate(14, ${row(index)})`}>
          <line x1="0" x2="20" y1="-4" y2="-4" stroke="var(--ink)" strokeWidth={THICK} strokeDasharray={LINE[hold]} />
          <text x="28" className="soft" style={{ fontSize: 12 }}>
            ⌀{short(diameter)} × {short(z1 - z0)}
            {wall < diameter / 2 - 0.05 ? ` · wall ${short(wall)}` : ''} · {WORDS[hold]}
          </text>
        </g>
      ))}
      {held.length === 0 && (
        <text x={14} y={row(0)} className="soft" style={{ fontSize: 12 }}>
          nothing that is long enough and straight
        </text>
      )}
      {held.length > shown.length && (
        <text x={42} y={row(shown.length)} className="soft" style={{ fontSize: 12 }}>
          and {held.length - shown.length} more
        </text>
      )}
    </g>
  );
}
