import type { OrderedSetup } from '../order/orderedSetup';
import type { Limit, PassLoad } from '../../model/plan/passLoad';
import { figure, sum, term, type Figure } from '../../model/figure';
import { andThen, good, type Result } from '../../model/result';
import { cylinder } from '../../model/workpiece/profile';
import { remove, solid, thinnestWall, turnedRound, type Wall, type Workpiece } from '../../model/workpiece/workpiece';
import { checkClearances, clearancesOf, type Clearance } from '../holding/clearances';
import { kindOf } from '../operations';
import type { Cuts, Operation, Pass } from '../../model/plan/operation';
import { isOnBar, type Setup } from '../../model/plan/setup';
import { say, sayDiameter, type Caution, type Reason } from '../../model/words';
import { cuttingSpeed, notAbove, passMinutes } from '../cutting/speed';
import { chipCaution } from '../cutting/chips';
import { overloadWarnings } from '../cutting/overload';
import { bendingWarning } from '../cutting/load';
import { drillWithin, plungeLoad, plungeWithin, type Plunge } from '../cutting/plunge';
import { speedFor, type SpeedFigure } from '../cutting/speedFor';
import { droppedBefore, lastByHand } from '../cutting/shoulder';
import { woundWithin } from '../cutting/winding';
import { fewestMoves, leverMinutes, type Levers, type Runs } from './levers';

export interface PlannedPass extends Pass {
  limitedBy: Limit;
  minutes: Figure;
  /** What the machine's speed gives on the diameter that it cuts, m/min. */
  achieved: Figure;
  /** What it asks of the machine and of the work, where that is known. */
  load?: PassLoad;
}

/** An operation with its cuts and the work before and after it. */
export interface CutOperation extends Operation {
  number: number;
  speed: Figure;
  /** The diameter that its speed is for, mm. */
  on: number;
  /** What the machine's speed gives on that, m/min. */
  achieved: Figure;
  feed: Figure;
  passes: PlannedPass[];
  pecks: number;
  cutting: Figure;
  /** What it then is is measured before its last cut. */
  measuredBetween?: true;
  /** What is done by hand instead of by passes. */
  byHand: { name: string; minutes: number }[];
  /** How near it comes to what it must not touch, the nearest first. */
  clearances: Clearance[];
  before: Workpiece;
  after: Workpiece;
  reasons: Reason[];
  cautions: Caution[];
  warnings: string[];
}

export interface CutSetup extends OrderedSetup {
  start: Workpiece;
  cuts: CutOperation[];
}

/** A figure of the machine that work by hand has not. */
const none = (name: string, unit: Figure['unit'], note: string): SpeedFigure =>
  figure({ name, unit, value: 0, formula: '0', terms: [], note });

/** Depth of the last cut that has an infeed, mm. */
const lastDepth = (passes: readonly Pass[]): number => passes.findLast(({ depth }) => depth > 0)?.depth ?? 0;

/** Feed of an operation: its kind's own rule or the table by kind, snapped to the gearbox unless a hand feeds it. */
function feedOf(operation: Operation, { passes }: Cuts, setup: Setup): Figure {
  const { machine, cutting } = setup.run.shop;
  const kind = kindOf(operation);
  if (kind.byHand) return none('feed', 'mm/rev', 'It is done by hand.');
  const wanted =
    kind.feed?.(operation, setup, lastDepth(passes)) ??
    sum('feed', 'mm/rev', [
      term(
        's',
        `usual feed of this kind of operation`,
        cutting.feed[operation.cutsAs ?? operation.kind] ?? 0,
        'mm/rev',
        'start value',
      ),
    ]);
  if (kind.handFed) return { note: 'Fed by hand; timed at this equivalent feed.', ...wanted };
  const value = notAbove(machine.feeds, wanted.value);
  return {
    ...wanted,
    value,
    formula: `snap(${wanted.formula})`,
    note: `The formula gives ${wanted.value.toFixed(3)}; the gearbox's nearest feed not above it is taken.`,
  };
}

/** What a spindle speed gives on a diameter. */
const reachedOn = (diameter: number, speed: number): Figure =>
  figure({
    name: 'cutting speed reached',
    unit: 'm/min',
    value: cuttingSpeed(speed, diameter),
    formula: 'π · d · n / 1000',
    terms: [
      term('d', 'diameter being cut', diameter, 'mm', 'computed'),
      term('n', 'spindle speed', speed, 'rev/min', 'computed'),
    ],
  });

/** A figure of the machine, a lesser one that a limit asks for, or what was decided. */
function heldBack(usual: Figure, less: number | undefined, asked: number | undefined): Figure {
  if (asked !== undefined)
    return figure({
      name: usual.name,
      unit: usual.unit,
      value: asked,
      formula: 'x',
      terms: [term('x', 'so decided', asked, usual.unit, 'run')],
      note: `The planner would take ${less ?? usual.value}.`,
    });
  if (less === undefined || less >= usual.value) return usual;
  return figure({
    name: usual.name,
    unit: usual.unit,
    value: less,
    formula: 'x',
    terms: [term('x', 'the quickest of the machine within all limits', less, usual.unit, 'computed')],
    note: `Usual were ${usual.value}: that is more than a limit allows.`,
  });
}

function minutesOf(passes: PlannedPass[], pecks: number, peckReturn: number): Figure {
  const returns =
    pecks > 1
      ? [term('b', `${pecks - 1} returns to clear the chips`, (pecks - 1) * peckReturn, 'min', 'start value')]
      : [];
  return sum('cutting time', 'min', [
    ...passes.map(({ minutes }, index) => term(`p${index + 1}`, `pass ${index + 1}`, minutes.value, 'min', 'computed')),
    ...returns,
  ]);
}

/** WALL-LAST (trade: Order): an operation that makes a wall thin says so. */
function wallWarning(before: Workpiece, after: Workpiece, { run }: Setup): string[] {
  const is = thinnestWall(after);
  const limit = run.shop.cutting.thinWall;
  const share = ({ wall, diameter }: Wall) => wall / diameter;
  if (!is || share(is) >= limit) return [];
  const was = thinnestWall(before);
  if (was && share(was) <= share(is) + 1e-6) return [];
  return [
    `Leaves a wall of ${say(Number(is.wall.toFixed(2)), run.units)} under ${sayDiameter(Number(is.diameter.toFixed(2)), run.units)}, less than ${100 * limit} %: light cuts, and mind the grip.`,
  ];
}

/** A house with fixed speeds may run a form tool at turning speed: what the material wants is told. */
function tooFastFor({ kind, tool }: Operation, diameter: number, speed: Figure, { run }: Setup): string[] {
  const { houseRules, material, cutting } = run.shop;
  if (houseRules.speed !== 'fixed' || speed.value === 0) return [];
  const wanted = material.speed[tool.edge] * (cutting.speedFactor[kind] ?? 1);
  const reached = cuttingSpeed(speed.value, diameter);
  if (reached <= wanted * (1 + cutting.speedOver)) return [];
  return [
    `${Math.round(reached)} m/min, and this kind of cut wants ${Math.round(wanted)} in ${material.name}: slower.`,
  ];
}

/** The part that a surface must fit is its gauge: have it at hand. */
const triedWith = ({ feature, checks }: Operation, { run }: Setup): Caution[] =>
  (run.part.mates ?? []).flatMap(({ of, name }) =>
    of === feature && checks.length > 0
      ? [
          {
            kind: 'mistake' as const,
            text: `Tried with ${name}, which is its gauge: the last half division by spring pass or abrasive.`,
          },
        ]
      : [],
  );

/** The shop has it not: it is got before the run begins. */
const TO_GET: Caution = { kind: 'mistake', text: 'Not in the shop: get it, or make it, before the run begins.' };

/** Where an operation cuts farthest out of its holding. */
const farthestOut = ({ from, to }: Operation): number => Math.min(from, to);

/**
 * What goes straight in, fed and turned within motor and hold: an edge by its width, a drill by its load. What was decided
 * is done, and told where it is beyond a limit.
 */
function withinHold(
  operation: Operation,
  work: Workpiece,
  { diameter, passes }: Cuts,
  { speed, feed }: { speed: Figure; feed: Figure },
  setup: Setup,
): Plunge | undefined {
  const { asked } = operation;
  if (asked?.feed !== undefined || asked?.speed !== undefined) return undefined;
  const wide = Math.max(0, ...passes.map((pass) => pass.wide ?? 0));
  if (wide > 0)
    return plungeWithin(wide, diameter, farthestOut(operation), { speed: speed.value, feed: feed.value }, setup);
  const [pass] = passes;
  const load = pass && kindOf(operation).load?.(operation, pass, work, setup, feed, reachedOn(diameter, speed.value));
  return load && drillWithin(load, { speed: speed.value, feed: feed.value }, setup);
}

/** A figure of the machine as it is left from the operations beside, since that saves moving its lever. */
const leftAs = (usual: Figure, value: number | undefined): Figure =>
  value === undefined || value >= usual.value
    ? usual
    : figure({
        name: usual.name,
        unit: usual.unit,
        value,
        formula: 'x',
        terms: [term('x', 'as the lever stands for the operations beside', value, usual.unit, 'computed')],
        note: `It could be ${usual.value}: moving the lever there and back takes longer than that saves.`,
      });

/** An operation with its cuts on the work as it is, before it is known where the levers stand for it. */
interface Ready {
  operation: Operation;
  work: Workpiece;
  after: Workpiece;
  cuts: Cuts;
  speed: Figure;
  feed: Figure;
  /** How its speed was limited to what holds the work, or a hand winds. */
  limits: { plunge: Plunge | undefined; isWound: boolean; tooFast: boolean };
  clearances: Clearance[];
  close: string[];
}

function readyToCut(operation: Operation, work: Workpiece, setup: Setup): Result<Ready> {
  const kind = kindOf(operation);
  const clearances = clearancesOf(operation, work, setup);
  const close = checkClearances(clearances, operation, setup);
  if (!close.ok) return close;
  return andThen(kind.cut(operation, work, setup), (cuts: Cuts) => {
    const usual = {
      speed:
        kind.byHand === 'stopped'
          ? none('spindle speed', 'rev/min', 'The spindle is stopped.')
          : speedFor(operation, cuts.diameter, setup, kind.turnsAtOverhang),
      feed: feedOf(operation, cuts, setup),
    };
    const { asked } = operation;
    const plunge = withinHold(operation, work, cuts, { speed: usual.speed, feed: usual.feed }, setup);
    const held = cuts.slower ?? plunge;
    const fed = { speed: held?.speed ?? usual.speed.value, feed: held?.feed ?? usual.feed.value };
    const isAsked = asked?.feed !== undefined || asked?.speed !== undefined;
    const wound = isAsked ? undefined : woundWithin(operation, kind, fed, setup.run);
    const dropped = isAsked ? undefined : droppedBefore(operation, fed, setup.run);
    const slower = wound ?? dropped ?? held;
    const speed = heldBack(usual.speed, slower?.speed, asked?.speed);
    return good({
      operation,
      work,
      after: remove(work, operation.removal),
      cuts,
      speed,
      feed: heldBack(usual.feed, slower?.feed, asked?.feed),
      limits: {
        plunge,
        isWound: wound !== undefined,
        tooFast: speed === usual.speed && usual.speed.tooFast === true,
      },
      clearances,
      close: close.value,
    });
  });
}

/** Of what the machine has the least share of the usual that may be taken to save moving a lever, up to that. */
const downTo = (list: readonly number[], usual: number, share: number): number[] => [
  usual,
  ...list.filter((value) => value < usual - 1e-9 && value >= usual * share - 1e-9).toReversed(),
];

/** At what an operation can be run: no faster than it is to be, and not so slow that it cuts badly; what was decided stays. */
function runsOf({ operation, cuts, speed, feed, limits }: Ready, { run }: Setup): Runs {
  const { machine, cutting, houseRules } = run.shop;
  const { asked } = operation;
  const isFed = feed.value > 0 && !kindOf(operation).handFed;
  // What a limit holds back was worked out together: it stays.
  const stays = cuts.slower !== undefined || (limits.plunge?.warnings ?? []).length > 0;
  const least = (of: 'speed' | 'feed', share: number) => (stays || asked?.[of] !== undefined ? 1 : share);
  const slowest = least('speed', houseRules.speed === 'fixed' ? 1 : cutting.leverSpeed);
  return {
    speeds: speed.value === 0 ? [] : downTo(machine.speeds, speed.value, slowest),
    feeds: isFed ? downTo(machine.feeds, feed.value, least('feed', cutting.leverFeed)) : [],
    ...(isFed || feed.value === 0 ? {} : { byHand: feed.value }),
    way: cuts.passes.reduce((total, { way }) => way.reduce((sum, { value }) => sum + value, total), 0),
  };
}

/** The cuts of an operation with the levers as they stand for it. */
function cutWith(ready: Ready, levers: Levers | undefined, setup: Setup): Omit<CutOperation, 'number' | 'reasons'> {
  const { operation, work, after, cuts, limits, clearances, close } = ready;
  const kind = kindOf(operation);
  const { handMinutes } = setup.run.shop;
  const speed = leftAs(ready.speed, levers?.speed);
  const feed = kind.handFed ? ready.feed : leftAs(ready.feed, levers?.feed);
  const pecks = cuts.pecks ?? 1;
  const last = lastByHand(operation, { speed: speed.value, feed: feed.value }, setup.run);
  const achieved = reachedOn(cuts.diameter, speed.value);
  const passes = cuts.passes.map((pass, index): PlannedPass => {
    const loadOf = pass.wide === undefined ? kind.load : plungeLoad;
    const { on = cuts.diameter } = pass;
    const reached = Math.abs(on - cuts.diameter) < 1e-9 ? achieved : reachedOn(on, speed.value);
    const load = loadOf?.(operation, pass, work, setup, feed, reached);
    return {
      ...pass,
      achieved: reached,
      limitedBy: pass.limitedBy ?? limits.plunge?.limitedBy ?? (limits.isWound ? 'winding' : 'shape'),
      minutes: passMinutes(`pass ${index + 1}`, pass.way, feed.value, speed.value, last),
      ...(load ? { load } : {}),
    };
  });
  return {
    ...operation,
    speed,
    feed,
    pecks,
    passes,
    on: cuts.diameter,
    achieved,
    cutting: minutesOf(passes, pecks, handMinutes.peckReturn),
    ...(cuts.measuredBetween ? { measuredBetween: true } : {}),
    byHand: cuts.byHand ?? [],
    clearances,
    before: work,
    after,
    cautions: [
      ...kind.cautions,
      ...triedWith(operation, setup),
      ...(operation.tool.toGet ? [TO_GET] : []),
      ...(cuts.cautions ?? []),
      ...chipCaution(operation, feed.value, lastDepth(passes), setup),
    ],
    warnings: [
      ...(cuts.warnings ?? []),
      ...(limits.plunge?.warnings ?? []),
      ...bendingWarning(operation, passes, setup),
      ...overloadWarnings(
        { passes, speed: speed.value, feed: feed.value, on: cuts.diameter, at: farthestOut(operation) },
        setup,
      ),
      ...close,
      ...tooFastFor(operation, cuts.diameter, speed, setup),
      ...(operation.kind === 'chamfer' ? [] : wallWarning(work, after, setup)),
      ...(limits.tooFast ? ['The slowest speed of the machine is faster than the material wants here.'] : []),
    ],
  };
}

/** How far the bar goes on in the chuck while its set-ups are made: to where it is held when it is drawn out last, z of their view. */
export const barTo = (setups: readonly Setup[]): number =>
  Math.max(...setups.flatMap((setup) => (isOnBar(setup) ? [setup.holding.to] : [])));

/** What the set-ups before one leave to it. */
export interface CutSoFar {
  done: CutSetup[];
  left: { work: Workpiece; end: Setup['end'] } | undefined;
  number: number;
  /** Cautions that were told: where they first apply, since said everywhere they are read nowhere. */
  told: ReadonlySet<string>;
}

export const NOTHING_CUT: CutSoFar = { done: [], left: undefined, number: 0, told: new Set() };

/** The work as a set-up first sees it. */
function startOf(setup: Setup, { left }: CutSoFar, bar: number): Workpiece {
  if (left) return left.end === setup.end ? left.work : turnedRound(left.work, setup.part.length);
  const { over, bore, piece } = setup.stock;
  if (piece) return setup.end === 'front' ? piece : turnedRound(piece, setup.part.length);
  const to = Math.max(setup.holding.to, bar);
  const whole = solid(-setup.facing, to, over);
  return bore > 0 ? { ...whole, bore: [cylinder(-setup.facing, to, bore / 2)] } : whole;
}

/**
 * Runs one more set-up: every cut on the work as it then is (trade: Cutting). What it leaves is what the next begins with.
 * @param bar how far the bar goes on (`barTo`)
 */
export function cutSetup(ordered: OrderedSetup, before: CutSoFar, bar: number): Result<CutSoFar> {
  const { setup } = ordered;
  const start = startOf(setup, before, bar);
  const told = new Set(before.told);
  const found: (Ready & { reasons: Reason[] })[] = [];
  let work = start;
  for (const [index, operation] of ordered.operations.entries()) {
    const ready = readyToCut(operation, work, setup);
    if (!ready.ok) return ready;
    // Roughing that finds nothing to take is no operation.
    if (ready.value.cuts.passes.length === 0 && operation.stop.means !== 'none') continue;
    work = ready.value.after;
    found.push({ ...ready.value, reasons: ordered.reasons[index] ?? [] });
  }
  const levers = fewestMoves(
    found.map((ready) => runsOf(ready, setup)),
    leverMinutes(setup),
  );
  let { number } = before;
  const cuts = found.map((ready, index): CutOperation => {
    const cut = cutWith(ready, levers[index], setup);
    const cautions = cut.cautions.filter(({ text }) => !told.has(text));
    for (const { text } of cautions) told.add(text);
    return { ...cut, number: (number += 10), reasons: ready.reasons, cautions };
  });
  return good({
    done: [...before.done, { ...ordered, start, cuts }],
    left: { work, end: setup.end },
    number,
    told,
  });
}
