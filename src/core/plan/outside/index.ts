import type { Run } from '../../model/run';
import { crossDrill } from './crossDrill';
import { mill } from './mill';
import { inOneHolding } from './oneHolding';
import type { OutsideKind, OutsideOp } from './outsideOp';
import { placed, type Made } from './placed';
import type { TakenOverrule } from '../../model/plan/taken';
import { grind, harden, hone, plate, trim } from './sent';

/** Every kind of work elsewhere, in the order that it is done: cutting, then heat, then abrasives, then plating, then assembly. */
const outsideKinds: readonly OutsideKind[] = [mill, crossDrill, harden, grind, hone, plate, trim];

/**
 * What other machines and other firms do, each after one of the set-ups on this lathe, and what was made of the
 * overrules of it.
 */
export function outsideOps(
  run: Run,
  made: ReadonlySet<string>,
  setups: readonly Made[],
): { operations: OutsideOp[]; taken: TakenOverrule[] } {
  const rolled = setups.map(({ setup, makes }) => ({ number: setup.number, makes }));
  const { operations, taken } = placed(
    outsideKinds.flatMap((kind) => kind(run, made, rolled)),
    run,
    setups,
  );
  return { operations: inOneHolding(operations, run), taken };
}
