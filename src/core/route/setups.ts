import { figure, sum, term } from '../figure';
import { isHolding } from '../overrule';
import { largestDiameter, turnRound, type Part } from '../part/part';
import { good, refuse, type Result } from '../result';
import type { Run } from '../run';
import { say, sayDiameter } from '../words';
import type { Stock } from '../stock/choose';
import { askedFor, betweenCentres } from './betweenCentres';
import { firstHolding } from './firstHolding';
import { crossedKnurls } from './outside/acrossKnurl';
import { reachedFeatures } from './reached';
import { setupCautions } from './setupCautions';
import { holdNeeded, secondHolding } from './secondHolding';
import { chamferedIn, edgeFacingJaws, splits, turnedSteps } from './division';
import { supportOf, type Support } from './support';
import type { Setup, Turned } from './setup';

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

interface Attempt {
  run: Run;
  stock: Stock;
  firstEnd: 'front' | 'back';
  count: number;
  /** Features that wait for the second set-up, because other machines work across them first (paths). */
  deferred: readonly string[];
}

/** Run-out asked between some surfaces and others. */
const tiesBetween = ({ ties }: Part, some: readonly string[], others: (path: string) => boolean) =>
  ties.filter(({ of, to }) => (some.includes(of) && others(to)) || (some.includes(to) && others(of)));

/** Two set-ups, and how many ties to what was there before their holdings are not true enough for. */
interface Divided {
  setups: Setup[];
  untrue: number;
}

/** Two set-ups for one way of dividing the work, or why it cannot be held so. */
function attempt({ run, stock, firstEnd, count, deferred }: Attempt): Result<Divided> {
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
  const clearance = bar ? stock.jawClearance : (run.allowances.jawClearance ?? shop.allowances.toolClearance);
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
  const drilledFirst = toDrill.filter(({ through, from }) => through || from === 'front').map(({ path }) => path);
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
    taken: held.value.taken,
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
  if (finishes) return good({ setups: [one], untrue: held.value.untrue.length });
  // The bar's own skin was there before, too.
  const before = [...madeFirst, ...stock.asDrawn];
  const second = secondHolding({
    run,
    view,
    count,
    kept: view.features.filter(({ path }) => deferred.includes(path)),
    asDrawn: stock.asDrawn,
    made: madeFirst,
    ties: tiesBetween(run.part, before, (path) => !before.includes(path)),
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
    taken: second.value.taken,
    others: second.value.others,
    reasons: [...second.value.reasons, ...next.value.reasons],
    cautions: setupCautions(run, stock, { first: false, supported: next.value.supported, rest: next.value.rest }),
  };
  return good({ setups: [one, two], untrue: held.value.untrue.length + second.value.untrue.length });
}

/** How many ties work between centres is not true enough for. */
const untrueBetween = ({ part }: Run, setups: readonly Setup[]): number =>
  part.ties.filter(({ limit }) => (setups.at(-1)?.holding.runOut ?? 0) > limit + 1e-9).length;

/** Set-ups that say what else could hold the second side. */
const withOthers = (setups: readonly Setup[], others: Setup['others']): Setup[] =>
  setups.map((own) => (own.number === 2 ? { ...own, others } : own));

/** Set-ups as they are held instead, and why not between centres. */
const notBetween = (setups: readonly Setup[], run: Run, because = 'it cannot be'): Setup[] =>
  setups.map((own) =>
    own.number === 1
      ? own
      : {
          ...own,
          taken: own.taken.map((taken) =>
            taken.index === askedFor(run)
              ? { ...taken, breaks: [{ rule: 'GRIP-LEFT', because: `${because}.`, strength: 'H' as const }] }
              : taken,
          ),
        },
  );

/** Whether the work fits the machine at all. */
function checkCapacity(run: Run): Result<null> {
  const { machine } = run.shop;
  const { units, part } = run;
  if (part.length > machine.betweenCentres)
    return refuse(
      'part.outside',
      `${say(part.length, units)} is longer than ${machine.name} takes (${say(machine.betweenCentres, units)})`,
    );
  const largest = part.steps.find(({ diameter }) => diameter.nominal > machine.swing);
  if (largest)
    return refuse(
      `${largest.path}.diameter`,
      `${sayDiameter(largestDiameter(part), units)} does not swing over the cross-slide of ${machine.name} (${say(machine.swing, units)})`,
    );
  return good(null);
}

/**
 * The set-ups of a run (handbook 2, 4, 5): what is turned from which end, and what the second side is held by. The
 * front first, unless only the back first leaves something to hold, or holds as true as the drawing asks.
 * @returns the set-ups, or why the part cannot be held
 */
export function planSetups(run: Run, stock: Stock): Result<Setup[]> {
  const capacity = checkCapacity(run);
  if (!capacity.ok) return capacity;
  const ends = run.firstEnd === 'choose' ? (['front', 'back'] as const) : [run.firstEnd];
  const attempts = ends.flatMap((firstEnd): (Attempt | Result<never>)[] => {
    const counts = splits(firstEnd === 'front' ? run.part : turnRound(run.part), stock.asDrawn);
    if (!counts.ok) return [counts];
    const across = crossedKnurls(run.part, stock.asDrawn);
    const waits = across.length > 0 ? [across, []] : [[]];
    return waits.flatMap((deferred) => counts.value.map((count) => ({ run, stock, firstEnd, count, deferred })));
  });
  const refused: Result<never>[] = [];
  let best: Divided | undefined;
  for (const own of attempts) {
    const outcome: Result<Divided> = 'ok' in own ? own : attempt(own);
    if (!outcome.ok) refused.push(outcome);
    else if (!best || outcome.value.untrue < best.untrue) best = outcome.value;
    if (best?.untrue === 0) break;
  }
  // Between centres where it is asked for, where nothing else is true enough, and where nothing else holds.
  const asked = askedFor(run) >= 0;
  const decided = run.overrules.some((own) => isHolding(own) && own.setup !== 1);
  if (asked || (!decided && (!best || best.untrue > 0))) {
    const centred = betweenCentres(run, stock);
    if (centred.ok && (asked || !best || untrueBetween(run, centred.value) < best.untrue))
      return good(withOthers(centred.value, best?.setups[1]?.others ?? []));
    if (best && asked && !centred.ok) return good(notBetween(best.setups, run, centred.problems[0]?.message));
  }
  if (best) return good(best.setups);
  // When nothing holds, the attempt that divides the work most evenly says most about what is missing.
  return (
    refused[Math.floor(run.part.steps.length / 2)] ??
    refused[0] ??
    refuse('part.outside', 'the part cannot be divided between two set-ups')
  );
}
