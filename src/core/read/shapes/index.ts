import { ball } from './ball';
import { cone } from './cone';
import { cylinder } from './cylinder';
import { hex, square } from './prism';

/** Every shape that a step of the outside can have. */
export const stepShapes = [cylinder, cone, ball, hex, square] as const;
