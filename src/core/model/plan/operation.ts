import type { EdgePlace, ToolStands } from './edgeWay';
import type { Gearing } from './gearing';
import type { Limit, PassLoad } from './passLoad';
import type { Figure, Term } from '../figure';
import type { CutWish } from '../overrule';
import type { Size } from '../part/size';
import type { Edge } from '../workpiece/edges';
import type { Removal, Workpiece } from '../workpiece/workpiece';
import type { Result } from '../result';
import type { Measured } from '../shop/tool';
import type { Tool } from '../shop/shop';
import type { Caution } from '../words';
import type { Setup } from './setup';

/** Where an operation ends, and by which means it repeats (trade: Stops). z of the set-up, mm. */
export interface StopDemand {
  /** By hand nothing stops. */
  means: 'carriage' | 'quill' | 'none';
  /** Where each edge that may have been touched on the face comes to stand; the first is the tool's own. */
  settings: { edge: 'left' | 'right' | 'tip'; setting: Figure }[];
}

/** A size that an operation makes, or a run-out, to be measured. */
export interface Check {
  what: string;
  measures: Measured;
  /** Without it a gauge says go or no-go. */
  size?: Size;
  /** The length over all, which the last face fixes. */
  final?: true;
  /** The drawing asks for nothing closer than usual of it. */
  general?: true;
  /** Measured before, when it was cut; this is another look. */
  again?: true;
}

/** One tool doing one thing in one set-up, before its cuts are worked out. z of the set-up, mm. */
export interface Operation {
  /** Unique within the run: kind and feature. */
  key: string;
  kind: string;
  /** It cuts like operations of another kind: at their speed and feed. */
  cutsAs?: string;
  /** Path of the feature it makes; `front face` and `back face` are `face`. */
  feature: string;
  /** Steps that it turns in the same cut, beside that of its feature (paths). */
  along?: string[];
  /** Features of the part that are there when it is done (paths). */
  makes?: string[];
  name: string;
  tool: Tool;
  /** Where its edge (the tip of a drill) starts and where it stops. */
  from: number;
  to: number;
  /** It is fed along into a shoulder, or to the bottom of a bore. */
  intoShoulder?: true;
  /** How far its tool goes on behind that while it is drawn out, mm. */
  goesOn?: number;
  /** The diameter it makes. */
  diameter?: number;
  /** How it is to cut, where that was decided. */
  asked?: CutWish;
  /** The compound set over, degrees from the axis. */
  compound?: number;
  /** The post turned to one of its steps for it, degrees; every other tool of the post wants it straight. */
  postAt?: number;
  /** A thread by the leadscrew: what drives it. */
  gearing?: Gearing;
  /** A hole: where the full diameter ends. */
  fullDepth?: number;
  removal: Removal;
  /** How the tool stands in its post, where not as usual. */
  stands?: ToolStands;
  stop: StopDemand;
  checks: Check[];
  /** Wanted roughness Ra, µm. */
  roughness?: number;
  /** What is done, in words, one thing each. */
  does?: string[];
  /** The edges that it breaks. */
  breaks?: Edge[];
}

/** Work by hand, which nothing stops and which takes nothing off that would be measured. */
export const BY_HAND = { removal: {}, stop: { means: 'none', settings: [] }, checks: [] } satisfies Partial<Operation>;

/** One cut. */
export interface Pass {
  /** Per side, or along z when facing, mm. */
  depth: number;
  /** Read-out targets after it, mm. */
  diameter?: number;
  z?: number;
  /** What the feed covers. */
  way: Term[];
  /** The way of its edge; z of the set-up. */
  path: EdgePlace[];
  /** What this cut alone takes away, where it is not the whole operation to a lesser depth. */
  leaves?: Removal;
  note?: string;
  /** What keeps it from being deeper; without it the form is as deep. */
  limitedBy?: Limit;
  /** It goes straight in, with so much of its edge, mm. */
  wide?: number;
  /** The diameter that it cuts on, mm, where that is not the one which sets the speed. */
  on?: number;
}

/** The cuts of an operation on the work as it then is. */
export interface Cuts {
  /** The diameter that sets the spindle speed. */
  diameter: number;
  passes: Pass[];
  /** A feed and a speed of the machine below the usual ones, where those are beyond a limit. */
  slower?: { feed: number; speed: number };
  /** Its last two cuts are equal: what it then is is measured between them. */
  measuredBetween?: true;
  /** Withdrawals to clear a drill. */
  pecks?: number;
  /** What is done by hand instead of by passes. */
  byHand?: { name: string; minutes: number }[];
  warnings?: string[];
  /** What to mind beside what goes for every operation of its kind. */
  cautions?: Caution[];
}

/**
 * A kind of operation. Its file is the only place that knows it: what asks for it, which cuts it takes, what to mind.
 * A new kind is one new file in `plan/operations`, listed in its index.
 */
export interface OperationKind {
  kind: string;
  /** Fed by hand at an equivalent feed, rather than by the gearbox. */
  handFed: boolean;
  /** Fed across, with the carriage clamped. */
  across?: true;
  /** Its chips are shut in: in a hole, a groove or a thread. */
  shutIn?: true;
  /** It draws itself along, and nobody winds it. */
  drawsItself?: true;
  /** Of what is too fast for a hand, the speed is less and not the feed. */
  keepsFeed?: true;
  /** Factors on the cutting speed beside the one of the kind. */
  turnsAtOverhang: boolean;
  /** Done with the centre up, where the free end needs one. */
  underCentre: boolean;
  /**
   * Whether the part comes out without an operation of this kind, if with less of what the drawing has. Without this it
   * is so for whatever makes a feature of its own.
   */
  mayBeLeft?(operation: Operation): boolean;
  /** What a pass of it asks of the machine and of the work, where that is known and the pass does not go straight in. */
  load?(
    operation: Operation,
    pass: Pass,
    work: Workpiece,
    setup: Setup,
    feed: Figure,
    achieved: Figure,
  ): PassLoad | undefined;
  /** Divided into passes of a depth that may be decided. */
  takesDepth?: true;
  /** Fed towards the chuck along the work: no left-hand tool does it. */
  towardsChuck?: true;
  /** Done by hand: on the turning work, or with the spindle stopped. */
  byHand?: 'turning' | 'stopped';
  /** The operations of this kind that a set-up needs, beside those that the kinds before it need. */
  demand(setup: Setup, others: readonly Operation[]): Result<Operation[]>;
  /** Its cuts on the work as it is. */
  cut(operation: Operation, work: Workpiece, setup: Setup): Result<Cuts>;
  /** Feed, mm/rev, where the table by kind does not say. @param depth of its last cut, mm */
  feed?(operation: Operation, setup: Setup, depth: number): Figure;
  cautions: Caution[];
}
