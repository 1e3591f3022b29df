import { secondSetup } from './secondSetup';
import { isFinishedBy, firstSetup } from './firstSetup';
import { type Attempt, layoutOf, standingOf, madeFirst } from './layout';
import { andThen, good, type Result } from '../../model/result';
import { edgeFacingJaws, turnedSteps } from './division';
import type { Setup } from '../../model/plan/setup';
import { keepsWishes } from '../reach/wishes';

/** Two set-ups, and how many ties to what was there before their holdings are not true enough for. */
export interface Divided {
  setups: Setup[];
  untrue: number;
}

/** Two set-ups for one way of dividing the work, or why it cannot be held so; one, where the part-off finishes it. */
export function attempt(division: Attempt): Result<Divided> {
  const { run, stock, count, wishes } = division;
  const layout = layoutOf(division);
  const { view, back } = layout;
  const facingAway = edgeFacingJaws(view, count, stock.asDrawn);
  if (!facingAway.ok) return facingAway;
  const standing = standingOf(division, layout);
  if (!standing.ok) return standing;
  const made = madeFirst(division, layout, standing.value.stickOut.value - layout.firstFacing);
  const turnedBack = turnedSteps(
    back,
    view.steps.length - count,
    stock.asDrawn,
    undefined,
    run.shop.allowances.overrun,
  );
  const finishes = isFinishedBy(division, layout, made, turnedBack);
  const first = firstSetup(division, layout, standing.value, made, finishes);
  if (!first.ok) return first;
  const second = finishes ? undefined : secondSetup(division, layout, made, turnedBack);
  if (second && !second.ok) return second;
  const both = [first.value, ...(second ? [second.value] : [])];
  const setups = both.map(({ setup }) => setup);
  return andThen(keepsWishes(wishes, setups), () =>
    good({ setups, untrue: both.reduce((total, { untrue }) => total + untrue, 0) }),
  );
}
