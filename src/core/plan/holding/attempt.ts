import type { Stock } from '../../model/plan/stock';
import { figure, sum, term } from '../../model/figure';
import { turnRound, type Part } from '../../model/part/part';
import { andThen, good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { say } from '../../model/words';
import { chamferedIn, edgeFacingJaws, turnedSteps } from './division';
import { firstHolding } from './firstHolding';
import { goesThrough, reachedFeatures } from '../reach/reached';
import { holdNeeded, secondHolding } from './secondHolding';
import type { Setup, Turned } from '../../model/plan/setup';
import { setupCautions } from './setupCautions';
import { heldBack, takenStickOut } from './stickOut';
import { supportOf, type Support } from './support';
import { keepsWishes, type Wish } from '../reach/wishes';

const CLOSE = 0.001;

/** What comes off before a finished face, in words for a working. */
const facingTerm = (facing: number) => term('f', 'facing allowance', facing, 'mm', 'computed');

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

/** Why the first side does not stand out otherwise. */
const tooShort = (standsOut: number, clearance: number, bar: boolean, { units }: Run): string =>
  bar
    ? `A piece and the blade take ${say(standsOut - clearance, units)}`
    : `The tools go ${say(standsOut - clearance, units)} far, and enough of the blank must be left to hold`;

/** One way of dividing the work between two set-ups. */
export interface Attempt {
  run: Run;
  stock: Stock;
  firstEnd: 'front' | 'back';
  count: number;
  /** What waits for the second set-up (paths): other machines work across it first, or it was decided so. */
  deferred: readonly string[];
  wishes: readonly Wish[];
}

/** Run-out asked between some surfaces and others. */
const tiesBetween = ({ ties }: Part, some: readonly string[], others: (path: string) => boolean) =>
  ties.filter(({ of, to }) => (some.includes(of) && others(to)) || (some.includes(to) && others(of)));

/** Two set-ups, and how many ties to what was there before their holdings are not true enough for. */
export interface Divided {
  setups: Setup[];
  untrue: number;
}

/** Two set-ups for one way of dividing the work, or why it cannot be held so. */
export function attempt({ run, stock, firstEnd, count, deferred, wishes }: Attempt): Result<Divided> {
  const { shop, units } = run;
  const { overrun } = shop.allowances;
  const other = firstEnd === 'front' ? 'back' : 'front';
  const view = firstEnd === 'front' ? run.part : turnRound(run.part);
  const back = turnRound(view);
  const [here, there] =
    firstEnd === 'front' ? [stock.frontFacing, stock.backFacing] : [stock.backFacing, stock.frontFacing];
  // What is left on a blank: an end for the centre at this side, a spigot to hold by at the other.
  const [firstFacing, lastFacing] = [here + stock.centreEnd, there + stock.spigot];
  const partedAt = view.length + lastFacing;
  const bar = stock.blade !== undefined;
  const throughTo = stock.blade && partedAt + stock.blade.width;
  const turned = turnedSteps(view, count, stock.asDrawn, throughTo, overrun);
  // From the bar, the largest diameter is turned through to the blade: that is what the second side starts from.
  const lastTurned = view.steps.find(({ path }) => path === turned.at(-1)?.path);
  const left =
    throughTo !== undefined && lastTurned && turned.at(-1)?.to === throughTo ? lastTurned.diameter.aim : stock.over;
  const turnedEnd = Math.max(0, ...turned.map(({ to }) => to), ...(throughTo === undefined ? [] : [throughTo]));

  const facingAway = edgeFacingJaws(view, count, stock.asDrawn);
  if (!facingAway.ok) return facingAway;
  const usual = bar ? stock.jawClearance : (run.allowances.jawClearance ?? shop.allowances.toolClearance);
  // A blank has so much to let go of; of a bar the stock has seen to it.
  const spare = bar ? 0 : partedAt - turnedEnd - usual - holdNeeded(run, stock.over);
  const clearance = usual + heldBack(run, 1, turnedEnd + firstFacing + usual, spare);
  const rawHold = bar ? stock.gripRemnant.value : partedAt - turnedEnd - clearance;
  if (!bar && rawHold < holdNeeded(run, stock.over) - CLOSE)
    return refuse(
      'part.outside',
      `a blank leaves ${say(Math.max(0, rawHold), units)} to hold by while its first side is turned, and ${say(holdNeeded(run, stock.over), units)} are needed`,
    );
  const barTerms = [
    term('L', 'length of the part', view.length, 'mm', 'drawing' as const),
    facingTerm(firstFacing),
    term('w', 'blade width', stock.blade?.width ?? 0, 'mm', 'tool' as const),
    term('k', 'facing allowance of the other end', lastFacing, 'mm', 'computed' as const),
  ];
  const clear = term('c', 'clearance to the jaws', clearance, 'mm', 'start value');
  const stickOut = bar
    ? sum('stick-out', 'mm', [...barTerms, clear])
    : sum('stick-out', 'mm', [
        term('z', 'furthest that a tool goes', turnedEnd, 'mm', 'computed'),
        facingTerm(firstFacing),
        clear,
      ]);
  const jawsAt = stickOut.value - firstFacing;

  // The bore of a tube may be the hole itself.
  const toDrill = view.holes.filter(({ path }) => !stock.asDrawn.includes(path));
  const drilledFirst = toDrill
    .filter(({ through, from }) => from === 'front' || through)
    .filter(({ path, through }) => !(through && deferred.includes(path)))
    .map(({ path }) => path);
  const reach = (steps: Turned[], jaws: number) => ({
    turned: steps.map(({ path }) => path),
    asDrawn: stock.asDrawn,
    jaws,
  });
  const featuresFirst = reachedFeatures(view, reach(turned, jawsAt)).filter((path) => !deferred.includes(path));
  const madeFirst = [...turned.map(({ path }) => path), ...drilledFirst, ...featuresFirst, `${firstEnd} face`];
  const supported = supportOf(run, stickOut, stock.over, clearance);
  if (!supported.ok) return supported;
  const first = stock.centreEnd > 0 ? CENTRED : supported.value;
  const chamferedFirst = chamferedIn(view, []);
  const turnedBack = turnedSteps(back, view.steps.length - count, stock.asDrawn, undefined, overrun);
  const backEdges = view.chamfers.filter(({ end, z }) => end === 'back' && z > view.length - CLOSE);
  const doneFirst = [...madeFirst, ...chamferedFirst];
  const isDone = ({ path }: { path: string }) => doneFirst.includes(path);
  const finishes =
    bar &&
    lastFacing === 0 &&
    turnedBack.length === 0 &&
    toDrill.every((hole) => isDone(hole) && !hole.through) &&
    view.features.every(
      (own) => own.flats !== undefined || (isDone(own) && !(own.bore && own.z1 > view.length - CLOSE)),
    ) &&
    view.chamfers.every((own) => isDone(own) || backEdges.includes(own));
  const held = firstHolding({
    run,
    stock,
    from: jawsAt,
    end: bar ? jawsAt + rawHold : partedAt,
    ties: tiesBetween(run.part, stock.asDrawn, (path) => madeFirst.includes(path)),
  });
  if (!held.ok) return held;
  const one: Setup = {
    number: 1,
    end: firstEnd,
    run,
    stock,
    part: view,
    holding: held.value.holding,
    stickOut,
    facing: firstFacing,
    centreEnd: stock.centreEnd,
    behind: lastFacing,
    turned,
    outerRadius: stock.over / 2,
    drilled: drilledFirst,
    features: featuresFirst,
    chamfered: [...chamferedFirst, ...(finishes ? backEdges.map(({ path }) => path) : [])],
    earlier: [],
    partsOff: bar,
    finishes,
    supported: first.supported,
    ...(first.rest ? { rest: first.rest } : {}),
    taken: [
      ...held.value.taken,
      ...takenStickOut(run, 1, stickOut.value, tooShort(stickOut.value, clearance, bar, run)),
    ],
    others: held.value.others,
    reasons: [
      ...(firstEnd === 'back'
        ? [
            {
              rule: 'GRIP-LEFT',
              because:
                run.firstEnd === 'back'
                  ? 'The back end first: the run says so.'
                  : 'The back end first: from the front nothing long enough would be left to hold the part by.',
            },
          ]
        : []),
      ...held.value.reasons,
      ...first.reasons,
    ],
    cautions: setupCautions(run, stock, { first: true, supported: first.supported, rest: supported.value.rest }),
  };
  if (finishes)
    return andThen(keepsWishes(wishes, [one]), () => good({ setups: [one], untrue: held.value.untrue.length }));
  // The bar's own skin was there before, too.
  const before = [...madeFirst, ...stock.asDrawn];
  const second = secondHolding({
    run,
    view,
    count,
    kept: view.features.filter(({ path, bore }) => !bore && deferred.includes(path)),
    asDrawn: stock.asDrawn,
    made: madeFirst,
    ties: tiesBetween(run.part, before, (path) => !before.includes(path)),
    facing: lastFacing,
    boresLater: [...toDrill, ...view.features.filter(({ bore }) => bore)].some(({ path }) => !madeFirst.includes(path)),
  });
  if (!second.ok) return second;
  const { holding } = second.value;
  // On a mandrel the piece stands out from where its bore is held.
  const standsFrom = holding.inside === undefined ? holding.from : holding.from - holding.inside;
  const standing = figure({
    name: 'stick-out',
    unit: 'mm',
    value: standsFrom + lastFacing,
    formula: 'z + f',
    terms: [term('z', 'finished face to where it is held', standsFrom, 'mm', 'computed'), facingTerm(lastFacing)],
  });
  const next = supportOf(run, standing, holding.diameter, shop.allowances.toolClearance);
  if (!next.ok) return next;
  const reachedLater = [
    ...reachedFeatures(back, reach(turnedBack, holding.from)),
    // What waited sits on what the first set-up turned.
    ...reachedFeatures(back, reach([...turned, ...turnedBack], holding.from)).filter((path) => deferred.includes(path)),
    // A hole right through opens at either end.
    ...back.features
      .filter((own) => own.bore && goesThrough(own, back) && deferred.includes(own.path))
      .map(({ path }) => path),
  ];
  const missed = view.features.find(({ path }) => deferred.includes(path) && !reachedLater.includes(path));
  if (missed) return refuse(missed.path, `${missed.name} is not reached in the second set-up`);
  const two: Setup = {
    number: 2,
    end: other,
    run,
    stock,
    part: back,
    holding,
    stickOut: standing,
    facing: lastFacing,
    centreEnd: 0,
    behind: 0,
    turned: turnedBack,
    outerRadius: left / 2,
    drilled: toDrill.map(({ path }) => path).filter((path) => !drilledFirst.includes(path)),
    features: [...new Set(reachedLater)].filter((path) => !featuresFirst.includes(path)),
    chamfered: chamferedIn(back, chamferedFirst),
    earlier: [...turned.map(({ path }) => path), ...drilledFirst, ...featuresFirst, ...chamferedFirst],
    partsOff: false,
    finishes: false,
    supported: next.value.supported,
    ...(next.value.rest ? { rest: next.value.rest } : {}),
    taken: [
      ...second.value.taken,
      ...takenStickOut(
        run,
        2,
        standing.value,
        `It is held from ${say(standing.value, units)} on, and a hold of ${say(holdNeeded(run, holding.diameter), units)} must be left`,
      ),
    ],
    others: second.value.others,
    reasons: [...second.value.reasons, ...next.value.reasons],
    cautions: setupCautions(run, stock, { first: false, supported: next.value.supported, rest: next.value.rest }),
  };
  return andThen(keepsWishes(wishes, [one, two]), () =>
    good({ setups: [one, two], untrue: held.value.untrue.length + second.value.untrue.length }),
  );
}
