import type { Run } from '../../run';
import { crossDrill } from './crossDrill';
import { mill } from './mill';
import type { OutsideKind, OutsideOp } from './outsideOp';
import { grind, harden, hone, plate } from './sent';

/** Every kind of work elsewhere, in the order that it is done: cutting, then heat, then abrasives, then plating. */
const outsideKinds: readonly OutsideKind[] = [mill, crossDrill, harden, grind, hone, plate];

/** What other machines and other firms do, after the last set-up on this lathe. */
export const outsideOps = (run: Run, made: ReadonlySet<string>): OutsideOp[] =>
  outsideKinds.flatMap((kind) => kind(run, made));
