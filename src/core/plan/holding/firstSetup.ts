import { FACES } from '../../model/part/faces';
import type { Part } from '../../model/part/part';
import { faceForCentre } from './faceForCentre';
import { stiffnessOf } from './stiffness';
import { supportOf, type Support } from './support';
import { takenStickOut } from './stickOut';
import { setupCautions } from './setupCautions';
import type { Setup, Turned } from '../../model/plan/setup';
import { firstHolding } from './firstHolding';
import { madeBy, type Pull } from './pulls';
import { farStretch } from './heldStretch';
import { say, type Reason } from '../../model/words';
import type { Run } from '../../model/run';
import { good, type Result } from '../../model/result';
import {
  type Attempt,
  tiesBetween,
  type Layout,
  type Standing,
  toDrill,
  type MadeFirst,
  backEdges,
  type Held,
} from './layout';

/** What brings an end for a centre is turned under it. */
const CENTRED: Support = {
  supported: true,
  reasons: [
    {
      rule: 'CENTRE-SUPPORT',
      because: 'An end for a centre was left on: its hole goes with that end and is not in the part.',
    },
  ],
};

/** Drawn out of its holding once its end has been centred. */
const DRAWN_OUT: Support = {
  supported: true,
  reasons: [
    {
      rule: 'CENTRE-SUPPORT',
      because: 'Faced and centred while it hardly stands out, then drawn out and turned under the centre.',
    },
  ],
};

/** Why the first side does not stand out otherwise. */
const tooShort = (standsOut: number, clearance: number, bar: boolean, { units }: Run): string =>
  bar
    ? `A piece and the blade take ${say(standsOut - clearance, units)}`
    : `The tools go ${say(standsOut - clearance, units)} far, and enough of the blank must be left to hold`;

/** Whether nothing is left for the other side: the part-off leaves a finished piece, or a piece arrived so. */
export function isFinishedBy(
  { stock }: Attempt,
  { view, lastFacing }: Layout,
  { turned, drilled, features, chamfered }: MadeFirst,
  turnedBack: readonly Turned[],
): boolean {
  const parts = stock.blade !== undefined;
  const isDone = ({ path }: { path: string }) =>
    [turned, drilled, features, chamfered].some((paths) => paths.includes(path));
  return (
    (parts || stock.piece !== undefined) &&
    lastFacing === 0 &&
    turnedBack.length === 0 &&
    toDrill(view, stock).every(isDone) &&
    view.features.every(
      (feature) => feature.flats !== undefined || stock.asDrawn.includes(feature.path) || isDone(feature),
    ) &&
    view.chamfers.every((chamfer) => isDone(chamfer) || (parts && backEdges(view).includes(chamfer)))
  );
}

/** Why the back is worked first, where it is. */
const endReasons = ({ run, firstEnd }: Attempt): Reason[] =>
  firstEnd === 'front'
    ? []
    : [
        {
          rule: 'GRIP-LEFT',
          because:
            run.firstEnd === 'back'
              ? 'The back end first: the run says so.'
              : 'The back end first: from the front nothing long enough would be left to hold the part by.',
        },
      ];

/** What bears on the work while it is cut so far from its jaws, and why it is drawn out where it is. */
function supportFor(
  attempt: Attempt,
  view: Part,
  { stickOut, clearance }: Standing,
  pull: Pull,
  facing: number,
): Result<Support> {
  const { run, stock, centred } = attempt;
  const jaws = stickOut.value - facing;
  const reach = jaws - pull.from;
  const found = supportOf(run, reach, stock.over, clearance, stiffnessOf(attempt, view, pull.turned, jaws));
  if (!found.ok) return found;
  if (stock.centreEnd > 0) return good(CENTRED);
  if (found.value.supported && !attempt.centred) {
    const face = faceForCentre(run, view, attempt.firstEnd, 'end');
    if (!face.ok) return face;
  }
  if (pull.first) return centred ? good(DRAWN_OUT) : found;
  const because = `Drawn out for what lies farther behind: it is cut no more than ${say(reach, run.units)} from the jaws.`;
  return good({ ...found.value, reasons: [{ rule: 'DRAWN-OUT', because }, ...found.value.reasons] });
}

/** A set-up of the first side: from the bar or on a blank, all of it or a pull, or why it cannot be held so. */
export function firstSetup(
  attempt: Attempt,
  layout: Layout,
  standing: Standing,
  pull: Pull,
  { number, earlier, finishes }: { number: number; earlier: string[]; finishes: boolean },
): Result<Held> {
  const { run, stock, firstEnd } = attempt;
  const { view, lastFacing, partedAt } = layout;
  const { stickOut, clearance, rawHold } = standing;
  const facing = pull.first ? layout.firstFacing : 0;
  const bar = stock.blade !== undefined;
  const parts = bar && pull.last;
  const jawsAt = stickOut.value - facing;
  const support = supportFor(attempt, view, standing, pull, facing);
  if (!support.ok) return support;
  const { supported, rest, reasons } = support.value;
  const made = madeBy([pull]);
  const here = [...made, ...(pull.first ? [FACES[firstEnd]] : [])];
  const held = firstHolding({
    run,
    stock,
    diameter: farStretch(stock, firstEnd, view.length).diameter,
    from: jawsAt,
    end: bar ? jawsAt + rawHold : partedAt,
    ties: tiesBetween(run.part, stock.asDrawn, (path) => here.includes(path)),
    ...(attempt.alike === undefined ? {} : { alike: attempt.alike }),
  });
  if (!held.ok) return held;
  const setup: Setup = {
    number,
    side: 1,
    end: firstEnd,
    run,
    stock,
    part: view,
    holding: held.value.holding,
    stickOut,
    facing,
    centreEnd: stock.centreEnd,
    ...(attempt.endLast ? { endStays: true } : {}),
    behind: lastFacing,
    turned: pull.turned,
    outerRadius: stock.over / 2,
    drilled: pull.drilled,
    features: pull.features,
    chamfered: [...pull.chamfered, ...(finishes && parts ? backEdges(view).map(({ path }) => path) : [])],
    earlier,
    partsOff: parts,
    finishes: finishes && parts,
    supported,
    ...(pull.first && !attempt.centred ? {} : { drawnOut: true }),
    ...(pull.last ? {} : { goesOn: true }),
    ...(attempt.centred || !pull.first ? { centres: false } : pull.centres ? { centres: true } : {}),
    ...(rest ? { rest } : {}),
    taken: [
      ...held.value.taken,
      ...(pull.last ? takenStickOut(run, 1, stickOut.value, tooShort(stickOut.value, clearance, bar, run)) : []),
    ],
    others: held.value.others,
    reasons: [...(pull.first ? endReasons(attempt) : []), ...held.value.reasons, ...reasons],
    cautions: setupCautions(run, stock, { first: true, supported, rest }),
  };
  return good({ setup, untrue: held.value.untrue.length, uneasy: false });
}
