import { askedStickOut } from '../../model/overrule';
import type { Run } from '../../model/run';
import { say } from '../../model/words';
import type { TakenOverrule } from '../../model/plan/taken';
import { CLOSE } from '../../model/tolerances';

/** What came of a stick-out that was decided: kept where the work stands out so, else why not in words. */
export function takenStickOut(run: Run, setup: 1 | 2, standsOut: number, otherwise: string): TakenOverrule[] {
  const asked = askedStickOut(run.overrules, setup);
  if (!asked) return [];
  if (Math.abs(asked.stickOut - standsOut) < CLOSE) return [{ index: asked.index, state: 'kept', breaks: [] }];
  const because = `${otherwise}; ${say(asked.stickOut, run.units)} standing out were decided.`;
  return [{ index: asked.index, state: 'cannot', breaks: [{ rule: 'STICK-OUT', because, strength: 'H' }] }];
}

/**
 * How much further back than it needs to be the work is held, so that it stands out as far as was decided, mm; nothing
 * where it cannot.
 * @param least what stands out at least, mm @param spare how much of the hold can be let go
 */
export function heldBack(run: Run, setup: 1 | 2, least: number, spare: number): number {
  const asked = askedStickOut(run.overrules, setup);
  if (!asked) return 0;
  const back = asked.stickOut - least;
  return back >= 0 && back <= spare + CLOSE ? back : 0;
}
