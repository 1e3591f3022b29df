'use client';
import styled from 'styled-components';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { Hatches } from '../drawing/Hatches';
import { useSize } from '../primitives/useSize';
import { Half } from '../sheet/WorkLane';
import { layoutSheet } from '../sheet/sheetLayout';

const Paper = styled.div`
  position: relative;
  height: 100%;
  min-height: 200px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  overflow: hidden;
  svg {
    position: absolute;
    inset: 0;
  }
`;

/** Left of the drawing there is nothing to name. */
const MARGIN = 14;

/** The work as it is at a step, large: what is cut now, what is still to go, what holds it. */
export function WorkDrawn({ planned, operation }: { planned: PlannedSetup; operation: TimedOperation | undefined }) {
  const [room, size] = useSize<HTMLDivElement>({ width: 480, height: 320 });
  const layout = layoutSheet(planned, size.width, size.height, 0, 0, MARGIN);
  return (
    <Paper ref={room}>
      <svg
        width={layout.width}
        height={size.height}
        role="img"
        aria-label={`The work ${operation ? `at ${operation.number} ${operation.name}` : 'as it is put in'}`}
      >
        <Hatches />
        {(layout.work.whole ? [1, -1] : [1]).map((half) => (
          <Half
            key={half}
            frame={{
              x: layout.x,
              y: half === 1 ? layout.y : (radius) => 2 * layout.work.axis - layout.y(radius),
            }}
            before={operation?.before ?? planned.start}
            after={operation?.after ?? planned.start}
            planned={planned}
            operation={operation}
            layout={layout}
            played={false}
          />
        ))}
        <line
          x1={layout.x(layout.to) - 8}
          x2={layout.right + 14}
          y1={layout.work.axis}
          y2={layout.work.axis}
          stroke="var(--ink-soft)"
          strokeDasharray="12 3 2 3"
        />
      </svg>
    </Paper>
  );
}
