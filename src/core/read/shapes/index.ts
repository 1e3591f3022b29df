import { ball } from './ball';
import { cone } from './cone';
import { cylinder } from './cylinder';
import { hex, square } from './prism';
import type { StepShape } from './shape';

/** Every shape that a step of the outside can have. */
export const stepShapes: readonly StepShape[] = [cylinder, cone, ball, hex, square];
