import { centred } from './centring';
import { secondSetup } from './secondSetup';
import { isFinishedBy, firstSetup } from './firstSetup';
import { endOff, madeUnderEnd } from './endOff';
import { madeBy, pullsOf, wholePull, type Pull } from './pulls';
import {
  layoutOf,
  leastGripOf,
  madeBehindEnd,
  madeFirst,
  standingOf,
  workedWhole,
  type Attempt,
  type Held,
  type Layout,
  type MadeFirst,
} from './layout';
import { andThen, good, refuse, type Result } from '../../model/result';
import { faceForCentre } from './faceForCentre';
import { standsByItself } from './support';
import { edgeFacingJaws, turnedSteps } from './division';
import type { Setup } from '../../model/plan/setup';
import { keepsWishes } from '../reach/wishes';
import { couldHoldBoth, isReady } from './ready';

/**
 * Set-ups, how many features none of them gets at, how many ties to what was there before their holdings are not true
 * enough for, and how many want care.
 */
export interface Divided {
  setups: Setup[];
  missed: number;
  untrue: number;
  uneasy: number;
}

/** Whether work stands out so far for what is turned of it that a centre is wanted. */
const wantsCentre = ({ run }: Attempt, { turned, view }: Layout): boolean =>
  view.steps.some(({ path, diameter }) =>
    turned.some((step) => step.path === path && !standsByItself(run, step.to, diameter.nominal)),
  );

/**
 * The holding in which the end that is turned first is faced and centred: in its finished face, where that is whole and wide
 * enough, or in an end that is left on for it.
 */
function centringOf(division: Attempt, layout: Layout): Result<Setup> {
  const { run, stock, firstEnd, endLast } = division;
  const { view, lastFacing } = layout;
  const wants = wantsCentre(division, layout) ? 'end' : undefined;
  if (stock.bore > 0) return refuse('part.bores', 'a hole on the axis takes the place of the centre');
  if (!endLast && (view.holes.length > 0 || view.features.some(({ bore }) => bore)))
    return refuse('part.bores', 'a hole on the axis takes the place of the centre', wants);
  const face = endLast ? good(0) : faceForCentre(run, view, firstEnd, wants);
  if (!face.ok) return face;
  const facing = firstEnd === 'front' ? stock.frontFacing : stock.backFacing;
  return centred(
    { run, stock },
    {
      number: 1,
      end: firstEnd,
      part: view,
      facing: facing + stock.centreEnd,
      behind: lastFacing,
      centreEnd: stock.centreEnd,
    },
  );
}

/** In more set-ups nobody makes a small part (trade: Safe holds). */
export const MOST_SETUPS = 4;

/** The set-ups of the end that is worked first: one, or one for each time that it is drawn out. */
function firstSetups(
  division: Attempt,
  layout: Layout,
  made: MadeFirst,
  { finishes, from }: { finishes: boolean; from: number },
): Result<Held[]> {
  const pulls = division.drawnOut ? pullsOf(division, layout, made) : good<Pull[]>([wholePull(layout, made)]);
  if (!pulls.ok) return pulls;
  const held: Held[] = [];
  for (const [index, pull] of pulls.value.entries()) {
    const standing = standingOf(division, layout, pull);
    if (!standing.ok) return standing;
    const setup = firstSetup(division, layout, standing.value, pull, {
      number: from + index,
      earlier: madeBy(pulls.value.slice(0, index)),
      finishes,
    });
    if (!setup.ok) return setup;
    held.push(setup.value);
  }
  return good(held);
}

/** The set-ups of the first side, held by what holds the second: it is changed only once. */
function heldAlike(
  division: Attempt,
  firsts: readonly Held[],
  second: Held | undefined,
  again: (division: Attempt) => Result<Held[]>,
): Result<Held[]> {
  const holding = second?.setup.holding;
  if (!holding || !firsts.every(({ setup }) => couldHoldBoth(holding, setup)))
    return refuse('stock', 'nothing else holds both sides');
  return andThen(again({ ...division, alike: holding.kind }), (alike) =>
    isReady(holding, alike.at(-1)?.setup.holding) ? good(alike) : refuse('stock', 'it is changed between the sides'),
  );
}

/** Features that a lathe makes, and none of these set-ups. */
const missedBy = (setups: readonly Setup[], { run, stock }: Attempt): number =>
  run.part.features.filter(
    ({ path, cross, flats }) =>
      cross === undefined &&
      flats === undefined &&
      !stock.asDrawn.includes(path) &&
      !setups.some(({ features }) => features.includes(path)),
  ).length;

/** Two set-ups for one way of dividing the work, or why it cannot be held so; one, where the part-off finishes it. */
export function attempt(division: Attempt): Result<Divided> {
  const { run, stock, count, wishes } = division;
  const layout = layoutOf(division);
  const { view, back } = layout;
  const facingAway = edgeFacingJaws(view, count, stock.asDrawn);
  if (!facingAway.ok) return facingAway;
  const whole = standingOf(division, layout, workedWhole(layout));
  if (!whole.ok && !division.drawnOut) return whole;
  const jawsAt =
    whole.ok && !division.drawnOut
      ? whole.value.stickOut.value - layout.firstFacing
      : stock.blade
        ? Infinity
        : layout.partedAt - leastGripOf(run, stock, { diameter: stock.over, out: 0 });
  const all = madeFirst(division, layout, jawsAt);
  const made = madeUnderEnd(division, layout, all);
  const turnedBack = turnedSteps(
    back,
    view.steps.length - count,
    stock.asDrawn,
    undefined,
    run.shop.allowances.overrun,
  );
  // What waits for the end to go is made at the same side.
  const finishes = isFinishedBy(division, layout, all, turnedBack);
  const centring = division.centred ? centringOf(division, layout) : undefined;
  if (centring && !centring.ok) return centring;
  const firstsBy = (attempted: Attempt) => firstSetups(attempted, layout, made, { finishes, from: centring ? 2 : 1 });
  const firsts = firstsBy(division);
  if (!firsts.ok) return firsts;
  const last = firsts.value.at(-1)?.setup;
  const second = finishes
    ? undefined
    : secondSetup(division, layout, made, {
        turnedBack,
        last,
        ...(division.endLast ? { drilledLater: madeBehindEnd(layout, stock).drilled, behind: stock.centreEnd } : {}),
      });
  if (second && !second.ok) return second;
  const held = division.bothAlike ? heldAlike(division, firsts.value, second?.value, firstsBy) : firsts;
  if (!held.ok) return held;
  const before = second?.ok ? second.value.setup : last;
  const end = division.endLast && before ? endOff(division, layout, made, before) : undefined;
  if (end && !end.ok) return end;
  const both = [...held.value, ...(second ? [second.value] : []), ...(end ? [end.value] : [])];
  const setups = [
    ...(centring ? [{ ...centring.value, goesOn: true as const }] : []),
    ...both.map(({ setup }) => setup),
  ];
  if (setups.length > MOST_SETUPS) return refuse('part.outside', `it would be ${setups.length} set-ups`);
  return andThen(keepsWishes(wishes, setups), () =>
    good({
      setups,
      missed: missedBy(setups, division),
      untrue: both.reduce((total, { untrue }) => total + untrue, 0),
      uneasy: both.filter(({ uneasy }) => uneasy).length,
    }),
  );
}
