import { bore, counterbore, ream } from './bored';
import { drilled } from './drilled';
import { conical, countersink } from './conical';
import { innerGroove } from './innerGroove';
import { tap } from './tap';

/** Every shape of a hole, by the name the run file gives it, in the order that the page offers them. */
export const boreKinds = [drilled, bore, ream, counterbore, countersink, conical, tap, innerGroove] as const;
