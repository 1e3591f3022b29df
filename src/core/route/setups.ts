import { figure, sum, term, type Figure } from '../figure';
import type { Feature } from '../part/feature';
import { largestDiameter, turnRound, type Part, type Step } from '../part/part';
import { good, refuse, type Result } from '../result';
import type { Run } from '../run';
import { say, sayDiameter, type Reason } from '../words';
import type { Stock } from '../stock/choose';
import { reachedFeatures } from './reached';
import { setupCautions } from './setupCautions';
import type { Setup, Turned, WorkHolding } from './setup';

const CLOSE = 0.001;
const nominal = (step: Step | undefined) => step?.diameter.nominal ?? 0;

/** Whether a tool that comes from the free end gets at each step: nothing before it is larger. */
const reached = (steps: Step[]): boolean[] =>
  steps.map((step, index) => steps.slice(0, index).every((before) => nominal(before) <= nominal(step) + CLOSE));

/** Shortest hold of a finished diameter, mm. */
const holdNeeded = ({ shop }: Run, diameter: number) =>
  Math.max(shop.allowances.gripTimes * diameter, shop.allowances.gripLeast);

/**
 * How many steps from the first end may be turned in the first set-up: everything up to there is reached from there,
 * everything after it from the other end. The largest number first.
 */
function splits(part: Part, asDrawn: string[]): Result<number[]> {
  const { steps } = part;
  const left = (step: Step) => asDrawn.includes(step.path);
  const fromHere = reached(steps).map((can, index) => can || left(steps[index] as Step));
  const fromThere = reached([...steps].reverse())
    .reverse()
    .map((can, index) => can || left(steps[index] as Step));
  const neither = steps.findIndex((_, index) => !fromHere[index] && !fromThere[index]);
  const step = steps[neither];
  if (step)
    return refuse(
      `${step.path}.diameter`,
      `⌀${step.diameter.nominal} mm lies between larger diameters: a turning tool reaches it from neither end, and recesses are not planned yet`,
    );
  const all = Array.from({ length: steps.length + 1 }, (_, index) => steps.length - index);
  return good(all.filter((count) => steps.every((_, index) => (index < count ? fromHere[index] : fromThere[index]))));
}

/** What of a view is turned in one set-up, and how far. */
function turnedSteps(
  part: Part,
  count: number,
  asDrawn: string[],
  throughTo: number | undefined,
  overrun: number,
): Turned[] {
  return part.steps.slice(0, count).flatMap((step, index): Turned[] => {
    if (asDrawn.includes(step.path)) return [];
    const next = part.steps[index + 1];
    const last = index === count - 1;
    if (last && throughTo !== undefined) return [{ path: step.path, to: throughTo, shoulder: false }];
    const shoulder = next !== undefined && nominal(next) > nominal(step) + CLOSE;
    // Past the end of the step where nothing is in the way, so that its far edge is clean.
    return [{ path: step.path, to: step.zTo + (shoulder || !last ? 0 : overrun), shoulder }];
  });
}

/** What comes off before a finished face, in words for a working. */
const facingTerm = (facing: number) => term('f', 'facing allowance', facing, 'mm', 'computed');

/** What on a step is never gripped bare (handbook 4): a thread, a knurl, a taper, a groove's edges. */
const marred = ({ features }: Part, { zFrom, zTo }: Step): Feature | undefined =>
  features.find(
    ({ outside, thread, knurl, bore, z0, z1 }) =>
      (outside || ((thread || knurl) && !bore)) && z0 < zTo - CLOSE && z1 > zFrom + CLOSE,
  );

/** The hold for the second side: the finished diameter that is long enough and leaves least sticking out. */
function secondHolding(
  run: Run,
  view: Part,
  count: number,
  asDrawn: string[],
): Result<WorkHolding & { name: string; spoilt?: string }> {
  const { shop, units } = run;
  const { toolClearance } = shop.allowances;
  const { jaws, collets } = shop.machine;
  // `view` is the first set-up's; its steps up to `count`, and those left as drawn, are finished when it ends.
  const holds = view.steps.flatMap((step, index) => {
    if (index >= count && !asDrawn.includes(step.path)) return [];
    const chamfer = view.chamfers
      .filter((own) => own.step === step.path && own.end === 'front')
      .reduce((total, { size }) => total + size, 0);
    const against = nominal(view.steps[index + 1]) > nominal(step) + CLOSE && index + 1 < count;
    const end = against ? step.zTo : step.zTo - toolClearance;
    const from = step.zFrom + chamfer;
    const bearing = step.critical || step.diameter.from !== 'general';
    const diameter = step.diameter.nominal;
    const flats = view.features.find(({ path, flats: own }) => path === step.path && own)?.flats?.count;
    // Flats lie in jaws, three to a hexagon and four to a square; a round collet would hold their corners.
    const round: WorkHolding['kind'] =
      diameter >= collets.from && diameter <= collets.upTo ? 'collet' : bearing ? 'soft-jaws' : '3-jaw';
    const kind = flats === undefined ? round : flats === 4 ? ('4-jaw' as const) : ('3-jaw' as const);
    const cover = kind === 'collet' ? collets.length : jaws.length;
    const length = Math.min(end - from, cover);
    return [{ step, kind, end, length, diameter, needed: holdNeeded(run, diameter) }];
  });
  const long = holds
    .filter(
      ({ length, needed, diameter }) => length >= needed - CLOSE && diameter >= jaws.from && diameter <= jaws.upTo,
    )
    .sort((a, b) => (view.length - a.end) / a.diameter - (view.length - b.end) / b.diameter);
  const best = long.find(({ step }) => !marred(view, step)) ?? long[0];
  if (!best) {
    const widest = holds.sort((a, b) => b.length - a.length)[0];
    return refuse(
      'part.outside',
      `nothing finished in the first set-up is long enough to hold the part by for its second side${widest ? `: the best is ${sayDiameter(widest.diameter, units)} with ${say(Math.max(0, widest.length), units)} of ${say(widest.needed, units)} needed` : ''}`,
    );
  }
  const { step, kind, end, length, diameter } = best;
  const spoilt = marred(view, step);
  return good({
    kind,
    ...(spoilt ? { spoilt: spoilt.name } : {}),
    grip: step.path,
    name: step.name ?? sayDiameter(diameter, units),
    diameter,
    from: view.length - end,
    to: view.length - end + length,
  });
}

/** Whether the free end needs a centre, or more than that. */
function support(run: Run, stickOut: Figure, diameter: number): Result<{ supported: boolean; reasons: Reason[] }> {
  const { shop, units } = run;
  const times = shop.houseRules.stickOut === '4d' ? 4 : 1.5;
  if (stickOut.value > shop.cutting.restTimes * diameter)
    return refuse(
      'part.outside',
      `${say(stickOut.value, units)} would stand out of ${sayDiameter(diameter, units)}, more than ${shop.cutting.restTimes} times: that needs a fixed or a follow rest, which is not planned yet`,
    );
  if (stickOut.value <= times * diameter) return good({ supported: false, reasons: [] });
  return good({
    supported: true,
    reasons: [
      {
        rule: 'CENTRE-SUPPORT',
        because: `${say(stickOut.value, units)} stand out of ${sayDiameter(diameter, units)}, more than the house's ${times} times: a centre holds the free end while it is turned.`,
      },
    ],
  });
}

/** A blank that brings an end for a centre is turned under it. */
const CENTRED = {
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
}

/** Two set-ups for one way of dividing the work, or why it cannot be held so. */
function attempt({ run, stock, firstEnd, count }: Attempt): Result<Setup[]> {
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

  const facingAway = view.chamfers.find(({ end, step }) => {
    const index = view.steps.findIndex(({ path }) => path === step);
    return end === 'front' && (index > count || (index === count && !stock.asDrawn.includes(step)));
  });
  if (facingAway)
    return refuse(facingAway.path, `this edge faces the jaws when its step is turned; it cannot be cut in this way`);

  const clearance = bar ? stock.jawClearance : shop.allowances.toolClearance;
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

  const second = secondHolding(run, view, count, stock.asDrawn);
  if (!second.ok) return second;
  const { name, spoilt, ...holding } = second.value;
  const standing = figure({
    name: 'stick-out',
    unit: 'mm',
    value: holding.from + lastFacing,
    formula: 'z + f',
    terms: [term('z', 'finished face to jaws', holding.from, 'mm', 'computed'), facingTerm(lastFacing)],
  });
  const supported = support(run, stickOut, stock.over);
  const next = support(run, standing, holding.diameter);
  if (!supported.ok) return supported;
  const first = stock.centreEnd > 0 ? CENTRED : supported.value;
  if (!next.ok) return next;
  // The bore of a tube may be the hole itself.
  const toDrill = view.holes.filter(({ path }) => !stock.asDrawn.includes(path));
  const drilledFirst = toDrill.filter(({ through, from }) => through || from === 'front').map(({ path }) => path);
  const chamferedIn = (part: Part, done: string[]) =>
    part.chamfers.filter(({ end, path }) => end === 'front' && !done.includes(path)).map(({ path }) => path);
  const chamferedFirst = chamferedIn(view, []);
  const turnedBack = turnedSteps(back, view.steps.length - count, stock.asDrawn, undefined, overrun);
  const reach = (steps: Turned[], jaws: number) => ({
    turned: steps.map(({ path }) => path),
    asDrawn: stock.asDrawn,
    jaws,
  });
  const featuresFirst = reachedFeatures(view, reach(turned, jawsAt));
  return good([
    {
      number: 1,
      end: firstEnd,
      run,
      stock,
      part: view,
      holding: {
        kind: stock.form === 'square' ? '4-jaw' : '3-jaw',
        grip: 'stock',
        diameter: stock.over,
        from: jawsAt,
        to: jawsAt + (bar ? Math.max(rawHold, shop.machine.jaws.length) : partedAt - jawsAt),
      },
      stickOut,
      facing: firstFacing,
      centreEnd: stock.centreEnd,
      behind: lastFacing,
      turned,
      outerRadius: stock.over / 2,
      drilled: drilledFirst,
      features: featuresFirst,
      chamfered: chamferedFirst,
      earlier: [],
      partsOff: bar,
      supported: first.supported,
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
        ...first.reasons,
      ],
      cautions: setupCautions(run, stock, { first: true, supported: first.supported }),
    },
    {
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
      features: reachedFeatures(back, reach(turnedBack, holding.from)).filter((path) => !featuresFirst.includes(path)),
      chamfered: chamferedIn(back, chamferedFirst),
      earlier: [...turned.map(({ path }) => path), ...drilledFirst, ...featuresFirst, ...chamferedFirst],
      partsOff: false,
      supported: next.value.supported,
      reasons: [
        {
          rule: 'GRIP-LEFT',
          because: `Held on the finished ${name}: long enough, and it leaves least standing out.${holding.kind === '3-jaw' ? ' A sleeve of soft sheet keeps the jaws from marking it.' : ''}${spoilt ? ` It carries the ${spoilt}, and nothing better is left: a sleeve or a threaded holder, so that it is not gripped bare.` : ''}`,
        },
        ...next.value.reasons,
      ],
      cautions: setupCautions(run, stock, { first: false, supported: next.value.supported }),
    },
  ]);
}

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
 * front first, unless only the back first leaves something to hold.
 * @returns the set-ups, or why the part cannot be held
 */
export function planSetups(run: Run, stock: Stock): Result<Setup[]> {
  const capacity = checkCapacity(run);
  if (!capacity.ok) return capacity;
  const ends = run.firstEnd === 'choose' ? (['front', 'back'] as const) : [run.firstEnd];
  const outcomes = ends.flatMap((firstEnd): Result<Setup[]>[] => {
    const counts = splits(firstEnd === 'front' ? run.part : turnRound(run.part), stock.asDrawn);
    return counts.ok ? counts.value.map((count) => attempt({ run, stock, firstEnd, count })) : [counts];
  });
  // When nothing holds, the attempt that divides the work most evenly says most about what is missing.
  return (
    outcomes.find(({ ok }) => ok) ??
    outcomes[Math.floor(run.part.steps.length / 2)] ??
    outcomes[0] ??
    refuse('part.outside', 'the part cannot be divided between two set-ups')
  );
}
