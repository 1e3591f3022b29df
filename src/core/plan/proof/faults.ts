/** What a proof finds wrong. */
export const FAULT_CODES = [
  // The piece is not the drawing's.
  'too-much-metal',
  'too-little-metal',
  // A thread or a knurl that no operation cuts.
  'not-made',
  // What is not an edge meets the work, or anything of the tool meets it at rapid.
  'body-meets-work',
  'rapid-meets-work',
  // The tool meets what holds the work, bears on it or catches it, or what stands behind it.
  'meets-holding',
  'meets-centre',
  'meets-stop',
  'meets-rest',
  'meets-catcher',
  // A pass is deeper or less deep than the plan says.
  'depth-differs',
  // A thread's edge meets more than its thread.
  'thread-meets-more',
  // The work is not there where it is held, is held where it must not be, or falls off.
  'nothing-gripped',
  'grip-marks',
  'grips-wall',
  'meets-chuck',
  // It stands out too far: of what is gripped, or of how stout it is.
  'tips',
  'slender',
  'no-centre',
  'falls-off',
  // The plan says too little to be run.
  'no-way',
  'no-tool',
] as const;
export type FaultCode = (typeof FAULT_CODES)[number];

/** One thing that is wrong: where, and by how much. z of the part, mm. */
export interface Fault {
  code: FaultCode;
  /** Of the operation, or of the set-up where it is nobody's. */
  operation?: number;
  setup: number;
  pass?: number;
  /** What meets what, or which size it is: `holder and jaws`. */
  what: string;
  /** What it is and what it should be, where that is a length: of a depth, of a grip and what stands out of it, mm. */
  is?: number;
  asked?: number;
  z?: number;
  diameter?: number;
  amount?: number;
  /** Path of the drawing, where it is about that. */
  path?: string;
}

/** How near an operation comes to what stands still, at its nearest, mm. */
export interface Nearest {
  operation: number;
  what: string;
  distance: number;
}

/** A drawn size as it comes out: how much is left to its nearer limit, mm. */
export interface WorstSize {
  path: string;
  size: number;
  left: number;
}

/** What running a plan on its own showed. */
export interface Proof {
  passed: boolean;
  faults: Fault[];
  clearances: Nearest[];
  /** Drawn diameters that were read off the finished piece, and the one that is nearest to a limit. */
  segments: number;
  worst?: WorstSize;
}
