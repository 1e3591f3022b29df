import type { MadeOn } from './runToMake';
import { workedFrom, type WorkTime } from './hours';
import type { Placed } from './place';

/** A part of a run in its place: a set-up made ready, or its pieces made. */
export interface Segment {
  kind: 'ready' | 'pieces';
  setup: number;
  from: number;
  to: number;
}

/**
 * A run, or a part of one, set-up by set-up over the hours of its lathe: each is made ready, then its pieces are made. What making ready is spared by what
 * stands already, and what is made already, is spared of each in proportion.
 */
export function segmentsOf(
  { start, ready, made }: Placed,
  { setups, ready: whole }: MadeOn,
  time: WorkTime,
  worked: (from: number, to: number) => number,
): Segment[] {
  const pieces = worked(start, made) - ready;
  const piece = setups.reduce((sum, one) => sum + one.piece, 0);
  const segments: Segment[] = [];
  let [done, from] = [0, start];
  const add = (kind: Segment['kind'], setup: number, minutes: number) => {
    if (minutes <= 1e-6) return;
    done += minutes;
    const to = Math.min(made, workedFrom(time, start, done));
    segments.push({ kind, setup, from, to });
    from = to;
  };
  setups.forEach((one) => {
    add('ready', one.number, whole > 0 ? (ready * one.ready) / whole : 0);
    add('pieces', one.number, piece > 0 ? (pieces * one.piece) / piece : pieces / setups.length);
  });
  return segments;
}
