import { largerBar } from './largerBar';
import { leaveOpen } from './leaveOpen';
import { nearestTool } from './nearestTool';
import { otherMachine } from './otherMachine';
import { otherSchool } from './otherSchool';
import type { RemedyKind } from './remedy';

/** Ways out of a refusal, in the order that they are tried. */
export const remedyKinds: readonly RemedyKind[] = [leaveOpen, largerBar, nearestTool, otherMachine, otherSchool];
