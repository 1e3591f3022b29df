import type { Fault, Nearest } from './faults';
import type { Section } from './section/section';

/** The work at one moment, seen from the end that is worked, and what has been found so far. */
export interface Running {
  metal: Section;
  /** Features that set-ups before made (paths). */
  earlier: ReadonlySet<string>;
  faults: Fault[];
  /** How near each operation comes to each thing. */
  nearest: Map<string, Nearest>;
}
