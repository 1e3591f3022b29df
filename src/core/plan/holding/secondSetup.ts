import { FACES } from '../../model/part/faces';
import { CLOSE } from '../../model/tolerances';
import { supportOf } from './support';
import { takenStickOut } from './stickOut';
import { setupCautions } from './setupCautions';
import type { Setup, Turned } from '../../model/plan/setup';
import { gripNeeded, secondHolding } from './secondHolding';
import { goesThrough, reachedFeatures } from '../reach/reached';
import { chamferedIn } from './division';
import { say, type Caution } from '../../model/words';
import { good, refuse, type Result } from '../../model/result';
import { figure, term, type Figure } from '../../model/figure';
import {
  facingTerm,
  type Attempt,
  tiesBetween,
  type Layout,
  reach,
  toDrill,
  type MadeFirst,
  type Held,
} from './layout';

/** Features that the second set-up gets at (paths): its own, and what waited for it. */
function reachedLater(
  { stock, deferred }: Attempt,
  { view, back, turned }: Layout,
  turnedBack: Turned[],
  jaws: number,
): Result<string[]> {
  // What the first side turned is there, wherever its tools came from.
  const there = turned.map((step) => ({ ...step, to: Infinity }));
  const edges = back.features.flatMap(({ kind, path, z0 }) =>
    (kind === 'chamfer' || kind === 'radius') && z0 < CLOSE ? [path] : [],
  );
  const reached = [
    ...reachedFeatures(back, reach(turnedBack, stock, jaws)),
    // On what the first set-up turned sits what waited, and the edge of its far face.
    ...reachedFeatures(back, reach([...there, ...turnedBack], stock, jaws)).filter(
      (path) => deferred.includes(path) || edges.includes(path),
    ),
    // A hole right through opens at either end.
    ...back.features
      .filter((feature) => feature.bore && goesThrough(feature, back) && deferred.includes(feature.path))
      .map(({ path }) => path),
  ];
  const missed = view.features.find(({ path }) => deferred.includes(path) && !reached.includes(path));
  if (missed) return refuse(missed.path, `${missed.name} is not reached in the second set-up`);
  return good([...new Set(reached)]);
}

/** How far the piece stands out of its second holding; on a mandrel, from where its bore is held. */
const standsOut = (standsFrom: number, facing: number): Figure =>
  figure({
    name: 'stick-out',
    unit: 'mm',
    value: standsFrom + facing,
    formula: 'z + f',
    terms: [term('z', 'finished face to where it is held', standsFrom, 'mm', 'computed'), facingTerm(facing)],
  });

/** What to mind where the other half of a diameter was turned from the first side (trade: Safe holds). */
const halfCautions = (turnedBack: readonly Turned[], { turned }: MadeFirst): Caution[] =>
  turnedBack.some(({ path }) => turned.includes(path))
    ? [
        {
          kind: 'mistake',
          text: 'Half of this diameter was turned from the other side: dial it true on that half before the rest is turned. The mark where the cuts meet stays.',
        },
      ]
    : [];

/** The set-up that comes before, what is turned, what still waits for a later one, and which holes. */
interface Then {
  turnedBack: Turned[];
  last: Setup | undefined;
  /** Holes that a later one drills (paths), and the metal that it takes off behind the finished length, mm. */
  drilledLater?: readonly string[];
  behind?: number;
}

/** The set-up of the other side after the last of the first, on what that finished, or why it cannot be held so. */
export function secondSetup(
  attempt: Attempt,
  layout: Layout,
  made: MadeFirst,
  { turnedBack, last, drilledLater = [], behind = 0 }: Then,
): Result<Held> {
  const { run, stock, firstEnd, count, deferred } = attempt;
  const { view, back, lastFacing } = layout;
  const here = [...made.turned, ...made.drilled, ...made.features, FACES[firstEnd]];
  // The bar's own skin was there before, too.
  const before = [...here, ...stock.asDrawn];
  const bores = [...toDrill(view, stock), ...view.features.filter(({ bore }) => bore)];
  const held = secondHolding(
    {
      run,
      view,
      count,
      kept: view.features.filter(
        ({ path, bore, outside, knurl, thread }) =>
          !bore && (deferred.includes(path) || ((outside ?? knurl ?? thread) !== undefined && !before.includes(path))),
      ),
      stock,
      made: here,
      ties: tiesBetween(run.part, before, (path) => !before.includes(path)),
      facing: lastFacing,
      before: last?.holding,
      boresLater: bores.some(({ path }) => !here.includes(path)),
    },
    attempt.hold,
  );
  if (!held.ok) return held;
  const { holding } = held.value;
  const stickOut = standsOut(holding.from - (holding.inside ?? 0), lastFacing);
  const support = supportOf(run, stickOut.value, holding.diameter, run.shop.allowances.toolClearance);
  if (!support.ok) return support;
  const reached = reachedLater(attempt, layout, turnedBack, holding.from);
  if (!reached.ok) return reached;
  const { supported, rest, reasons } = support.value;
  const stays = `It is held from ${say(stickOut.value, run.units)} on, and a hold of ${say(gripNeeded(run, holding.kind, holding.diameter, stickOut.value), run.units)} must be left`;
  const setup: Setup = {
    number: (last?.number ?? 0) + 1,
    side: 2,
    end: firstEnd === 'front' ? 'back' : 'front',
    run,
    stock,
    part: back,
    holding,
    stickOut,
    facing: lastFacing,
    centreEnd: 0,
    behind,
    turned: turnedBack,
    outerRadius: layout.left / 2,
    drilled: toDrill(view, stock).flatMap(({ path }) =>
      [...made.drilled, ...drilledLater].includes(path) ? [] : [path],
    ),
    features: reached.value.filter((path) => !made.features.includes(path)),
    chamfered: chamferedIn(back, made.chamfered),
    earlier: [...made.turned, ...made.drilled, ...made.features, ...made.chamfered],
    partsOff: false,
    finishes: false,
    supported,
    ...(rest ? { rest } : {}),
    taken: [...held.value.taken, ...takenStickOut(run, 2, stickOut.value, stays)],
    others: held.value.others,
    reasons: [...held.value.reasons, ...reasons],
    cautions: [...setupCautions(run, stock, { first: false, supported, rest }), ...halfCautions(turnedBack, made)],
  };
  return good({ setup, untrue: held.value.untrue.length, uneasy: !held.value.easy });
}
