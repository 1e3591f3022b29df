import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { formatLength } from '@/core/model/units/length';
import { sayCrossStop } from '@/core/present/operation';
import type { SheetLayout } from './sheetLayout';
import { crossPlaces, stopsRail } from './stopsRail';

interface Props {
  planned: PlannedSetup;
  layout: SheetLayout;
  top: number;
  selected: string | undefined;
  onSelect: (key: string) => void;
}

/** The rail of the cross-slide with a screw for each diameter that something stops; nothing where nothing does. */
export function CrossStopsRail({ planned, layout, top, selected, onSelect }: Props) {
  const { units } = planned.setup.run;
  const y = top + stopsRail(planned, layout.width).across;
  const places = crossPlaces(planned, layout);
  if (planned.crossStops.length === 0) return null;
  return (
    <g>
      <text x={14} y={y + 4} className="soft">
        Cross-slide
      </text>
      <line x1={130} x2={layout.width - 16} y1={y} y2={y} stroke="var(--ink-soft)" strokeWidth="2" />
      {planned.crossStops.map((stop, index) => {
        const chosen = stop.operations.some((key) => key === selected);
        const x = places[index] ?? 0;
        const words = `${sayCrossStop(stop)}, ⌀${formatLength(stop.diameter, units, true)}`;
        const times = stop.operations.length > 1 ? ` ×${stop.operations.length}` : '';
        return (
          <g key={stop.place} onClick={() => onSelect(stop.operations[0] ?? '')} style={{ cursor: 'pointer' }}>
            {/* Its screw stands square to those of the carriage, and points to the axis. */}
            <path
              d={`M${x - 8},${y - 8}h16v9l-8,7l-8,-7Z`}
              fill={chosen ? 'var(--blue)' : 'var(--sheet)'}
              stroke={chosen ? 'var(--blue)' : 'var(--ink)'}
              strokeWidth="2"
            />
            <rect x={x + 12} y={y - 9} width={(words + times).length * 6.6 + 8} height={18} fill="var(--sheet)" />
            <text x={x + 16} y={y + 4} className={chosen ? 'chosen' : 'soft'}>
              {words}
              {times}
            </text>
          </g>
        );
      })}
    </g>
  );
}
