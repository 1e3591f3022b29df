import { goThrough } from './goThrough';
import { largerBar } from './largerBar';
import { leaveOpen } from './leaveOpen';
import { leaveOut } from './leaveOut';
import { nearestName } from './nearestName';
import { nearestTool } from './nearestTool';
import { nearestValue } from './nearestValue';
import { otherMachine } from './otherMachine';
import { otherSchool } from './otherSchool';
import type { RemedyKind } from './remedy';

/** Ways out where a run does not read: what is written is not what can be. */
export const remediesOfReading: readonly RemedyKind[] = [nearestName, leaveOpen, goThrough, nearestValue, leaveOut];

/** Ways out where no route can be, in the order that they are tried: the drawing is the last to change. */
export const remediesOfPlanning: readonly RemedyKind[] = [
  leaveOpen,
  largerBar,
  nearestTool,
  otherMachine,
  otherSchool,
  nearestValue,
];
