import type { Limit, PassLoad } from '../../model/plan/passLoad';
import type { Figure } from '../../model/figure';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Clearance } from '../holding/clearances';
import type { Operation, Pass } from '../../model/plan/operation';
import type { Caution, Reason } from '../../model/words';

export interface PlannedPass extends Pass {
  limitedBy: Limit;
  minutes: Figure;
  /** What the machine's speed gives on the diameter that it cuts, m/min. */
  achieved: Figure;
  /** What it asks of the machine and of the work, where that is known. */
  load?: PassLoad;
}

/** An operation with its cuts and the work before and after it. */
export interface CutOperation extends Operation {
  number: number;
  speed: Figure;
  /** The diameter that its speed is for, mm. */
  on: number;
  /** What the machine's speed gives on that, m/min. */
  achieved: Figure;
  feed: Figure;
  passes: PlannedPass[];
  pecks: number;
  cutting: Figure;
  /** What it then is is measured before its last cut. */
  measuredBetween?: true;
  /** What is done by hand instead of by passes. */
  byHand: { name: string; minutes: number }[];
  /** How near it comes to what it must not touch, the nearest first. */
  clearances: Clearance[];
  before: Workpiece;
  after: Workpiece;
  reasons: Reason[];
  cautions: Caution[];
  warnings: string[];
}
