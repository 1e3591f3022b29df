import type { Problem } from '../model/result';
import type { RunState } from '../model/runState';
import type { UnitSystem } from '../model/units/length';

/** What the plan of a run says to those who look at many runs; without a plan, what is in its way. */
export type ListedFigures =
  | {
      pieceMinutes: number;
      batchMinutes: number;
      bars: number;
      size: string;
      barLength: string;
      way: string;
      /** Whether running the plan move by move found nothing wrong, and whether everything that is drawn is made. */
      proved: boolean;
      complete: boolean;
    }
  | { problem: Problem | undefined };

/** A run as lists show it: what it is found by, and the figures of its plan. */
export interface ListedRun {
  id: number;
  savedAt: string;
  number: string;
  name: string;
  revision: string;
  material: string;
  quantity: string;
  units: UnitSystem;
  /** Empty where no day is promised. */
  due: string;
  customer: string;
  order: string;
  family: string;
  /** How far it has come, since when and by which device. */
  state: RunState;
  stateAt: string | undefined;
  stateBy: string;
  machine: string;
  /** The letter that the drawing went on to, when the run keeps an earlier one. */
  newerPart: string | undefined;
  /** Whether something has changed since the figures were planned. */
  stale: boolean;
  figures: ListedFigures | undefined;
}
