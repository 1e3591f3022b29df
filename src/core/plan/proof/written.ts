import type { EdgePlace, ToolStands } from '../../model/plan/edgeWay';

/** What the proof reads of a plan file; z of the drawing, r out from the axis, mm (docs/run-file.md). */
export interface WrittenPlan {
  stock: { form: string; size: number; bore?: number; bladeWidth: number | null; blankLength: number | null };
  setups: readonly WrittenSetup[];
  /** What the plan itself says that it does not make, among other doubts. */
  doubts: readonly { rule: string; path: string }[];
}

export interface WrittenSetup {
  number: number;
  end: 'front' | 'back';
  /** Metal before the face that it finishes. */
  facing: number;
  holding: WrittenHolding;
  /** What the work is set against; drawn back, it is not there any more when it is cut. */
  workStop: { means: string; drawnBack?: true };
  /** A rest that bears on the work while a centre holds its end; one that goes with the tool, where it goes last. */
  rest?: WrittenRest;
  operations: readonly WrittenOperation[];
}

export interface WrittenHolding {
  kind: string;
  grip: string;
  diameter: number;
  /** Where what holds begins and ends, and what it is over all. */
  from: number;
  to: number;
  over?: number;
  /** A step of the jaws bears on a shoulder at the far end of the grip. */
  seated?: true;
  /** It holds in the bore, so far in. */
  inside?: number;
}

export interface WrittenRest {
  kind: 'follow' | 'fixed';
  from: number;
  to: number;
}

export interface WrittenOperation {
  number: number;
  kind: string;
  name: string;
  feature: string;
  makes?: readonly string[];
  tool: string;
  /** A blade as it was measured. */
  width?: number;
  stands?: ToolStands;
  /** A centre holds the free end while it cuts. */
  centre?: boolean;
  passes: readonly WrittenPass[];
}

export interface WrittenPass {
  depth: number;
  path?: readonly EdgePlace[];
}
