import { edgesBetween, workedBy, workedFrom, type WorkTime } from './hours';

/** The part that is made first, in its place: from its first piece to its last. */
interface First {
  placed: { begun: number; made: number };
  time: WorkTime;
}

/** The part that goes on with its pieces, each made ready for once: so many of them, and so many lie between the two. */
interface Second {
  pieces: number;
  between: number;
  time: WorkTime;
  ready: number;
  work: number;
}

/**
 * When a part of a run may begin so that it never waits for a piece, while the part before is still being made on another lathe: it
 * begins a piece when that one and so many more are made, or all are. Minutes of the schedule.
 *
 * Of each moment it is asked how far the second would have come by then, were it begun at nought; what it may have come is what the
 * first has made. Both rise evenly between the moments at which either lathe begins or ends a stretch, so that these are enough.
 */
export function startBehind({ placed: { begun, made }, time: firstTime }: First, second: Second): number {
  const { pieces, between, time, ready, work } = second;
  if (made === Infinity) return Infinity;
  const ahead = Math.min(pieces, between + 1);
  const from = workedBy(firstTime, begun);
  const whole = workedBy(firstTime, made) - from;
  const madeBy = (at: number) => (whole > 0 ? (pieces * (workedBy(firstTime, at) - from)) / whole : pieces);
  const earliest = whole > 0 ? workedFrom(firstTime, begun, (whole * ahead) / pieces) : made;
  const edges = [firstTime, time].flatMap((one) => edgesBetween(one, earliest, made));
  const worked = Math.max(
    ...[earliest, ...edges, made].map((at) => workedBy(time, at) - ready - ((madeBy(at) - ahead) * work) / pieces),
  );
  return worked > 0 ? workedFrom(time, 0, worked) : 0;
}
