import { threadDepth } from '@/core/model/part/thread';
import { largestRadius, radiusAt } from '@/core/model/workpiece/profile';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import type { Frame } from '../drawing/paths';

/** Depth of the band that stands for a knurl, px. */
const BAND = 6;

/** The radius that a thread or a knurl sits on: of the outside, or of the bore for a tap. */
export const surfaceOf = ({ kind, before, from, to }: TimedOperation): number =>
  kind === 'tap' ? radiusAt(before.bore, (from + to) / 2) : largestRadius(before.outside, from + 0.01, to - 0.01);

/**
 * What no profile shows and is seen all the same: a thread as a thin line at its root, a knurl as a band, a groove in a face
 * as the gap that it is; up to the operation that is looked at, of all of them without one.
 */
export function RolledMarks({
  frame,
  planned: { operations, setup },
  upTo,
}: {
  frame: Frame;
  planned: PlannedSetup;
  upTo: TimedOperation | undefined;
}) {
  const last = upTo ? operations.findIndex(({ key }) => key === upTo.key) : operations.length - 1;
  return (
    <g>
      {operations.slice(0, last + 1).map((operation) => {
        const { kind, key, from, feature } = operation;
        const rolled = setup.part.features.find(({ path }) => path === feature);
        const r = surfaceOf(operation);
        if (kind === 'knurl' && rolled)
          return (
            <rect
              key={key}
              x={frame.x(rolled.z1)}
              y={Math.min(frame.y(r), frame.y(r) + (frame.y(0) < frame.y(r) ? -BAND : 0))}
              width={Math.abs(frame.x(rolled.z0) - frame.x(rolled.z1))}
              height={BAND}
              fill="url(#hatch-knurl)"
            />
          );
        if (kind === 'face-groove' && rolled?.inFace) {
          const [inner, outer] = [rolled.inFace.inner.aim / 2, rolled.inFace.outer.aim / 2].map((wall) =>
            frame.y(wall),
          );
          return (
            <path
              key={key}
              d={`M${frame.x(rolled.z0)} ${inner}H${frame.x(rolled.z1)}V${outer}H${frame.x(rolled.z0)}`}
              fill="var(--sheet)"
              stroke={key === upTo?.key ? 'var(--blue)' : 'var(--ink)'}
              strokeWidth={key === upTo?.key ? 3 : 1.2}
            />
          );
        }
        if (!['thread', 'die', 'tap'].includes(kind) || !rolled?.thread) return null;
        const root = kind === 'tap' ? r + threadDepth(rolled.thread) : r - threadDepth(rolled.thread);
        return (
          <line
            key={key}
            x1={frame.x(from)}
            x2={frame.x(rolled.z1)}
            y1={frame.y(root)}
            y2={frame.y(root)}
            stroke="var(--ink)"
            strokeWidth="0.8"
          />
        );
      })}
    </g>
  );
}
