import { centred } from './centring';
import { secondSetup } from './secondSetup';
import { isFinishedBy, firstSetup } from './firstSetup';
import { type Attempt, type Layout, layoutOf, standingOf, madeFirst } from './layout';
import { andThen, good, refuse, type Result } from '../../model/result';
import { edgeFacingJaws, turnedSteps } from './division';
import type { Setup } from '../../model/plan/setup';
import { keepsWishes } from '../reach/wishes';

/** Two set-ups, how many ties to what was there before their holdings are not true enough for, and how many want care. */
export interface Divided {
  setups: Setup[];
  untrue: number;
  uneasy: number;
}

/** The holding in which the end that is turned first is faced and centred; only solid work without a hole there. */
function centringOf({ run, stock, firstEnd }: Attempt, { view, lastFacing }: Layout): Result<Setup> {
  if (stock.blade) return refuse('way', 'from the bar it is centred as it stands out');
  if (stock.bore > 0 || view.holes.length > 0 || view.features.some(({ bore }) => bore))
    return refuse('part.bores', 'a hole on the axis takes the place of the centre');
  const facing = firstEnd === 'front' ? stock.frontFacing : stock.backFacing;
  return centred({ run, stock }, { number: 1, end: firstEnd, part: view, facing, behind: lastFacing });
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
  const centring = division.centred ? centringOf(division, layout) : undefined;
  if (centring && !centring.ok) return centring;
  const both = [first.value, ...(second ? [second.value] : [])];
  const setups = [...(centring ? [centring.value] : []), ...both.map(({ setup }) => setup)];
  return andThen(keepsWishes(wishes, setups), () =>
    good({
      setups,
      untrue: both.reduce((total, { untrue }) => total + untrue, 0),
      uneasy: both.filter(({ uneasy }) => uneasy).length,
    }),
  );
}
