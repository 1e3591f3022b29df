import { threadDepth } from '@/core/model/part/thread';
import { largestRadius, radiusAt } from '@/core/model/workpiece/profile';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import type { Frame } from '../drawing/paths';

/** Depth of the band that stands for a knurl, px. */
const BAND = 6;

/** Kinds that cut a thread, which stays to be seen. */
const THREADING = ['thread', 'die', 'tap', 'hand-tap', 'inner-thread'];

/** Those that cut it in a bore. */
const INSIDE = ['tap', 'hand-tap', 'inner-thread'];

/** The radius that a thread or a knurl sits on: of the outside, or of the bore. */
export const surfaceOf = ({ kind, before, from, to }: TimedOperation): number =>
  INSIDE.includes(kind)
    ? radiusAt(before.bore, (from + to) / 2)
    : largestRadius(before.outside, from + 0.01, to - 0.01);

/** Threads that a piece brings with it. */
const Brought = ({ frame, planned: { setup, start } }: { frame: Frame; planned: PlannedSetup }) => (
  <>
    {setup.part.features.map(({ path, thread, bore, z0, z1 }) => {
      if (!thread || bore || !setup.stock.asDrawn.includes(path)) return null;
      const root = largestRadius(start.outside, z0 + 0.01, z1 - 0.01) - threadDepth(thread);
      return <Root key={path} frame={frame} from={z0} to={z1} root={root} />;
    })}
  </>
);

/** The root of a thread. */
const Root = ({ frame, from, to, root }: { frame: Frame; from: number; to: number; root: number }) => (
  <line
    x1={frame.x(from)}
    x2={frame.x(to)}
    y1={frame.y(root)}
    y2={frame.y(root)}
    stroke="var(--ink)"
    strokeWidth="0.8"
  />
);

/**
 * What no profile shows and is seen all the same: a thread as a thin line at its root, a knurl as a band, a groove in a face
 * as the gap that it is; up to the operation that is looked at, of all of them without one.
 */
export function RolledMarks({
  frame,
  planned,
  upTo,
}: {
  frame: Frame;
  planned: PlannedSetup;
  upTo: TimedOperation | undefined;
}) {
  const { operations, setup } = planned;
  const last = upTo ? operations.findIndex(({ key }) => key === upTo.key) : operations.length - 1;
  return (
    <g>
      <Brought frame={frame} planned={planned} />
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
        if (!THREADING.includes(kind) || !rolled?.thread) return null;
        const root = rolled.bore ? r + threadDepth(rolled.thread) : r - threadDepth(rolled.thread);
        return <Root key={key} frame={frame} from={from} to={rolled.z1} root={root} />;
      })}
    </g>
  );
}
