import { isOnBar } from '../../core/model/plan/setup';
import { scaleLinear } from 'd3-scale';
import type { PlannedSetup } from '@/core/plan/times/planTimes';

/** Where things lie on the sheet, px. One z axis for every lane, the same scale across it: nothing is stretched. */
export interface SheetLayout {
  width: number;
  /** Column of names at the left. */
  names: number;
  /** Right end of the z axis. */
  right: number;
  work: { height: number; axis: number; whole: boolean };
  rowHeight: number;
  x: (z: number) => number;
  y: (radius: number) => number;
  pixelsPerMm: number;
  /** Labels of the diameters over the work: between which places, in how many rows, and how far apart those are. */
  labels: { from: number; upTo: number; rows: number; step: number };
  /** What is shown of the z axis. */
  from: number;
  to: number;
}

/** Room of one diameter's label along the work. */
export const LABEL = 76;
const LABEL_ROW = 24;
const TOP = 34;
const BOTTOM = 48;

/** Height of the drawn jaws. */
export const JAWS = 26;
const RIGHT = 46;
const LEAST = 300;

/**
 * Lays out the sheet of one set-up. The whole section when it fits at nearly the scale that its length allows; else the
 * upper half. It takes no more height than it needs.
 * @param above room for what comes from above the work, px
 * @param names width of the column of names, px
 */
export function layoutSheet(
  { setup, start }: Pick<PlannedSetup, 'setup' | 'start'>,
  width: number,
  workHeight: number,
  rowHeight: number,
  above = 0,
  names = width < 760 ? 236 : 292,
): SheetLayout {
  const right = width - RIGHT;
  const from = -setup.facing - 1;
  const end = Math.max(...start.outside.map(({ z1 }) => z1));
  const to = isOnBar(setup) ? setup.holding.from + Math.max(10, 0.3 * setup.holding.from) : end;
  const diameter = 2 * Math.max(...start.outside.map(({ r0, r1 }) => Math.max(r0, r1)));
  const byLength = (right - names - 26) / (to - from);
  const labels = { from: names + LABEL / 2, upTo: right + 20, rows: 1, step: Math.min(rowHeight, LABEL_ROW) };
  labels.rows = Math.ceil(setup.part.steps.length / (Math.floor((labels.upTo - labels.from) / LABEL) + 1));
  const top = TOP + above + (labels.rows - 1) * labels.step;
  const height = Math.min(workHeight, Math.max(LEAST, top + BOTTOM + JAWS + diameter * byLength));
  // Below a whole section its jaws come first, then the lengths.
  const wholeRoom = height - top - BOTTOM - JAWS;
  const halfRoom = height - top - BOTTOM;
  const whole = wholeRoom / diameter >= 0.72 * byLength;
  const pixelsPerMm = Math.min(byLength, whole ? wholeRoom / diameter : (2 * halfRoom) / diameter);
  const axis = whole ? top + wholeRoom / 2 : height - BOTTOM;
  const x = scaleLinear([from, to], [right, right - (to - from) * pixelsPerMm]);
  return {
    width,
    names,
    right,
    work: { height, axis, whole },
    rowHeight,
    labels,
    x: (z) => x(z),
    y: (radius) => axis - radius * pixelsPerMm,
    pixelsPerMm,
    from,
    to,
  };
}
