import type { EdgeMaterial } from './shop/material';

/** Why somebody decides against the planner, and who says so: together they let it break a hard rule. */
interface Signed {
  because?: string;
  signed?: string;
}

/** An order of two operations, by their keys. */
export interface OrderOverrule extends Signed {
  first: string;
  then: string;
  /** Which of the two was moved, so that its place is the one that was decided. */
  moved?: string;
}

/** An operation, by its key, is done with a tool of the list. */
export interface ToolOverrule extends Signed {
  operation: string;
  tool: string;
}

/**
 * How an operation is to cut: what is open stays the planner's. rev/min, mm/rev, the depth of a pass a side, mm; and
 * another edge in its tool, by the radius of its nose, mm, and what it is made of.
 */
export interface CutWish {
  speed?: number;
  feed?: number;
  depth?: number;
  nose?: number;
  edge?: EdgeMaterial;
}

/** An operation, by its key, cuts at this speed, feed or depth. */
export interface CutOverrule extends Signed {
  operation: string;
  cut: CutWish;
}

/**
 * An operation, by its key, is brought to its stop by this means; at this of its places and with these spacers, mm,
 * where they are named.
 */
export interface StopOverrule extends Signed {
  operation: string;
  stop: { means: string; station?: number; spacers?: number[] };
}

/** An operation, by its key, is left out. */
export interface SkipOverrule extends Signed {
  skip: string;
}

/** Work of one's own that the planner does not know of. */
export interface AddOverrule extends Signed {
  add: AddedWork;
}

/** Something done by hand at the lathe, the spindle stopped, while the work looks out with one of its ends. */
export interface AddedWork {
  name: string;
  end: 'front' | 'back';
  /** What it takes at each piece. */
  minutes: number;
}

/** The work is held by this means, on this step or bore where it is named; in the second set-up, where none is named. */
export interface HoldingOverrule extends Signed {
  setup?: 1 | 2;
  holding: { kind: string; grip?: string };
}

/** In a set-up the work stands out so far, mm. */
export interface StickOutOverrule extends Signed {
  setup: 1 | 2;
  stickOut: number;
}

/** A step, a hole or a detail, by its path, is made while the work looks out with this end. */
export interface EndOverrule extends Signed {
  feature: string;
  end: 'front' | 'back';
}

/** The same, made in the set-up of this number. */
export interface SetupOverrule extends Signed {
  feature: string;
  setup: number;
}

/** The part is made in so many set-ups. */
export interface SetupsOverrule extends Signed {
  setups: number;
  /** Worked a piece at a time and drawn out for each, or not; open where it is not said. */
  drawnOut?: boolean;
  /** Its end faced and centred in a holding of its own before it is drawn out, or not; open where it is not said. */
  centred?: boolean;
}

/** What is left on a blank: a spigot to hold it by, an end for a centre, or nothing; so long, mm, or as long as is needed. */
export interface LeaveOverrule extends Signed {
  leave: 'spigot' | 'centre-end' | 'none';
  length?: number;
}

/** Work on another machine, by the path of what asks for it, is done after this set-up of the lathe. */
export interface OutsideOverrule extends Signed {
  outside: string;
  after: number;
}

/** Something that whoever plans has decided against the planner. */
export type Overrule =
  | OrderOverrule
  | ToolOverrule
  | CutOverrule
  | StopOverrule
  | SkipOverrule
  | AddOverrule
  | HoldingOverrule
  | StickOutOverrule
  | EndOverrule
  | SetupOverrule
  | SetupsOverrule
  | LeaveOverrule
  | OutsideOverrule;

export const isOrder = (overrule: Overrule): overrule is OrderOverrule => 'first' in overrule;
export const isTool = (overrule: Overrule): overrule is ToolOverrule => 'tool' in overrule;
export const isCut = (overrule: Overrule): overrule is CutOverrule => 'cut' in overrule;
export const isStop = (overrule: Overrule): overrule is StopOverrule => 'stop' in overrule;
export const isSkip = (overrule: Overrule): overrule is SkipOverrule => 'skip' in overrule;
export const isAdd = (overrule: Overrule): overrule is AddOverrule => 'add' in overrule;
export const isHolding = (overrule: Overrule): overrule is HoldingOverrule => 'holding' in overrule;
export const isStickOut = (overrule: Overrule): overrule is StickOutOverrule => 'stickOut' in overrule;
export const isEnd = (overrule: Overrule): overrule is EndOverrule => 'end' in overrule;
export const isSetup = (overrule: Overrule): overrule is SetupOverrule => 'feature' in overrule && 'setup' in overrule;
export const isSetups = (overrule: Overrule): overrule is SetupsOverrule => 'setups' in overrule;
export const isLeave = (overrule: Overrule): overrule is LeaveOverrule => 'leave' in overrule;
export const isOutside = (overrule: Overrule): overrule is OutsideOverrule => 'outside' in overrule;

/** A key of an operation that a set-up has by its number: `deburr:2`. */
const OF_A_SETUP = /:\d+$/;

/** Whether an overrule is about a set-up by its number, and means another side where the other end is worked first. */
export const namesSetup = (overrule: Overrule): boolean =>
  isHolding(overrule) ||
  isStickOut(overrule) ||
  isSetup(overrule) ||
  isOutside(overrule) ||
  Object.values(overrule).some((value) => typeof value === 'string' && OF_A_SETUP.test(value));

/** How far the work was decided to stand out in a set-up, and which of the overrules says so. */
export function askedStickOut(
  overrules: readonly Overrule[],
  setup: 1 | 2,
): { index: number; stickOut: number } | undefined {
  const index = overrules.findIndex((overrule) => isStickOut(overrule) && overrule.setup === setup);
  const overrule = overrules[index];
  return overrule && isStickOut(overrule) ? { index, stickOut: overrule.stickOut } : undefined;
}

/** Whether somebody stands for it with a reason and a name. */
export const isSigned = ({ because, signed }: Overrule): boolean => Boolean(because?.trim() && signed?.trim());

/** The key of added work: it is named by what it is and where. */
export const keyOfAdded = ({ name, end }: AddedWork): string => `by-hand:${end}:${name}`;
