import { grind } from './grind';
import { harden } from './harden';
import { hone } from './hone';
import { plate } from './plate';
import { trim } from './trim';

/** Every kind of work elsewhere, in the order that it is done. */
export const elsewhereKinds = [harden, grind, hone, plate, trim] as const;
