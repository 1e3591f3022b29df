import type { Run } from '../../run';
import { crossDrill } from './crossDrill';
import type { Rolled } from './acrossKnurl';
import { mill } from './mill';
import type { OutsideKind, OutsideOp } from './outsideOp';
import { grind, harden, hone, plate } from './sent';

/** Every kind of work elsewhere, in the order that it is done: cutting, then heat, then abrasives, then plating. */
const outsideKinds: readonly OutsideKind[] = [mill, crossDrill, harden, grind, hone, plate];

/** What other machines and other firms do, each after one of the set-ups on this lathe. */
export const outsideOps = (run: Run, made: ReadonlySet<string>, setups: readonly Rolled[]): OutsideOp[] =>
  outsideKinds.flatMap((kind) => kind(run, made, setups)).sort((a, b) => a.after - b.after);
