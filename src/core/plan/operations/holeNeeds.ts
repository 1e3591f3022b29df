import type { Setup } from '../../model/plan/setup';
import { boreNeeds } from './bore';
import type { HoleNeed } from './holeNeed';
import { reamNeeds } from './ream';
import { tapNeeds } from './tap';
import { taperNeeds } from './taper';

/** Kinds of operation that need a hole first, each with the holes that it needs in a set-up. */
const kinds: readonly ((setup: Setup) => HoleNeed[])[] = [boreNeeds, taperNeeds, tapNeeds, reamNeeds];

/** Every hole that some tool of a set-up needs first. */
export const holeNeeds = (setup: Setup): HoleNeed[] => kinds.flatMap((needs) => needs(setup));
