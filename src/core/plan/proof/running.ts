import type { EdgePlace } from '../../model/plan/edgeWay';
import type { FixedBody } from './bodies/fixed';
import type { ToolShape } from './bodies/shapes';
import type { Fault, Nearest } from './faults';
import type { Section } from './section/section';

/** One move of a tool: in which set-up, of which operation and pass, and the work before and after it. z of the set-up. */
export interface Moment {
  setup: number;
  operation: number;
  pass: number;
  from: EdgePlace;
  to: EdgePlace;
  shape: ToolShape;
  still: readonly FixedBody[];
  before: Section;
  after: Section;
  /** What was found wrong in it. */
  faults: readonly Fault[];
}

/** The work at one moment, seen from the end that is worked, and what has been found so far. */
export interface Running {
  metal: Section;
  /** Features that set-ups before made (paths). */
  earlier: ReadonlySet<string>;
  faults: Fault[];
  /** How near each operation comes to each thing. */
  nearest: Map<string, Nearest>;
  /** Is told of every move. */
  watch?: (moment: Moment) => void;
}
