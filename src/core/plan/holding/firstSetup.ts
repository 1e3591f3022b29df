import { supportOf, type Support } from './support';
import { takenStickOut } from './stickOut';
import { setupCautions } from './setupCautions';
import type { Setup, Turned } from '../../model/plan/setup';
import { firstHolding } from './firstHolding';
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

/** A blank that brings an end for a centre is turned under it. */
const CENTRED: Support = {
  supported: true,
  reasons: [
    {
      rule: 'CENTRE-SUPPORT',
      because: 'The blank has an end for a centre: its hole goes with that end and is not in the part.',
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

/** The set-up of the first side: from the bar or on a blank, or why it cannot be held so. */
export function firstSetup(
  attempt: Attempt,
  layout: Layout,
  { stickOut, clearance, rawHold }: Standing,
  made: MadeFirst,
  finishes: boolean,
): Result<Held> {
  const { run, stock, firstEnd } = attempt;
  const { view, firstFacing, lastFacing, partedAt } = layout;
  const bar = stock.blade !== undefined;
  const jawsAt = stickOut.value - firstFacing;
  const found = supportOf(run, stickOut, stock.over, clearance);
  if (!found.ok) return found;
  const { supported, rest, reasons } = stock.centreEnd > 0 ? CENTRED : attempt.centred ? DRAWN_OUT : found.value;
  const here = [...made.turned, ...made.drilled, ...made.features, `${firstEnd} face`];
  const held = firstHolding({
    run,
    stock,
    diameter: farStretch(stock, firstEnd, view.length).diameter,
    from: jawsAt,
    end: bar ? jawsAt + rawHold : partedAt,
    ties: tiesBetween(run.part, stock.asDrawn, (path) => here.includes(path)),
  });
  if (!held.ok) return held;
  const setup: Setup = {
    number: attempt.centred ? 2 : 1,
    side: 1,
    end: firstEnd,
    run,
    stock,
    part: view,
    holding: held.value.holding,
    stickOut,
    facing: firstFacing,
    centreEnd: stock.centreEnd,
    behind: lastFacing,
    turned: layout.turned,
    outerRadius: stock.over / 2,
    drilled: made.drilled,
    features: made.features,
    chamfered: [...made.chamfered, ...(finishes && bar ? backEdges(view).map(({ path }) => path) : [])],
    earlier: [],
    partsOff: bar,
    finishes: finishes && bar,
    supported,
    ...(attempt.centred ? { centres: false } : {}),
    ...(rest ? { rest } : {}),
    taken: [
      ...held.value.taken,
      ...takenStickOut(run, 1, stickOut.value, tooShort(stickOut.value, clearance, bar, run)),
    ],
    others: held.value.others,
    reasons: [...endReasons(attempt), ...held.value.reasons, ...reasons],
    cautions: setupCautions(run, stock, { first: true, supported, rest: found.value.rest }),
  };
  return good({ setup, untrue: held.value.untrue.length, uneasy: false });
}
