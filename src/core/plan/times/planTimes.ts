import { sayFigure, sayFixed } from '../../model/units/mark';
import type { Stock } from '../../model/plan/stock';
import { sum, term, figure, type Figure } from '../../model/figure';
import type { CutOperation } from '../cuts/cutOperation';
import { checkedEvery, gaugeFor, type ChosenGauge } from '../../model/shop/gauge';
import { metal } from '../../model/workpiece/workpiece';
import type { Check } from '../../model/plan/operation';
import type { Fluid } from '../../model/shop/material';
import { fluidFor, isWet } from '../cutting/fluid';
import { kindOf } from '../operations';
import { isLocked } from '../operations/isLocked';
import { SAME_ANGLE } from '../order/order';
import { isOpByOp } from '../../model/plan/setup';
import { byGroup, changesTool, lastBefore, lettered, mountElements, type HandElement, type HandGroup } from './mounts';
import type { OutsideOp } from '../outside/outsideOp';
import { crossStopAt } from '../stops/crossStops';
import type { Pin, StoppedSetup, WorkStop } from '../stops/planStops';
import { loadingOf } from './loading';
import { settingTime } from './settingUp';
import { threadBack } from './threadBack';
import type { Run } from '../../model/run';
import type { Caution } from '../../model/words';

export interface PlannedCheck extends Check {
  gauge?: ChosenGauge;
  every: number;
}

export interface TimedOperation extends Omit<CutOperation, 'checks'> {
  checks: PlannedCheck[];
  /** What is brought to its cuts. */
  fluid?: Fluid;
  hand: Figure;
  /** The same by what it is made of. */
  handBy: Record<HandGroup, number>;
  /** One operation for all pieces: changes that are made once for the batch, minutes. */
  once: number;
}

/** A set-up with everything planned. */
export interface PlannedSetup {
  setup: StoppedSetup['setup'];
  order: StoppedSetup['order'];
  broken: StoppedSetup['broken'];
  overruled: StoppedSetup['overruled'];
  start: StoppedSetup['start'];
  pins: Pin[];
  crossStops: StoppedSetup['crossStops'];
  readied: StoppedSetup['readied'];
  workStop: WorkStop;
  operations: TimedOperation[];
  /** Getting the piece in and out, minutes. */
  loading: Figure;
  /** Setting up, once, minutes. */
  setting: Figure;
  /** One piece in this set-up without allowance, minutes. */
  piece: Figure;
}

export interface Times {
  setup: Figure;
  piece: Figure;
  cutting: Figure;
  hand: Figure;
  firstOff: Figure;
  batch: Figure;
}

function plannedChecks(checks: Check[], run: Run): PlannedCheck[] {
  // What the drawing leaves open is not measured.
  return checks
    .filter(({ size }) => !size?.open)
    .map((check) => {
      const gauge = gaugeFor(check, run.shop.gauges);
      const last = check.measures === 'length' && check.final && run.shop.houseRules.lastLength === 'measure';
      return { ...check, every: last ? 1 : checkedEvery(check, run.shop.checkEvery), ...(gauge ? { gauge } : {}) };
    });
}

const usesCompound = ({ compound }: CutOperation): boolean => compound !== undefined;

/** Whether the compound has to go to another angle than the one it was last at, also from the last piece. */
const setsOver = ({ compound }: CutOperation, before: CutOperation | undefined): boolean =>
  compound !== undefined && before?.compound !== undefined && Math.abs(before.compound - compound) > SAME_ANGLE;

const isInPost = ({ tool }: CutOperation): boolean => tool.mount === 'post';

/** Whether the post stands at another of its steps for what was cut with it before, also at the last piece. */
const turnsPost = (cut: CutOperation, before: CutOperation | undefined): boolean =>
  isInPost(cut) && (cut.postAt ?? 0) !== (before?.postAt ?? 0);

const hasLock = (cut: CutOperation): boolean => isLocked(cut) !== undefined;
/** Whether the carriage is clamped or freed for it, also after the last piece. */
const movesLock = (cut: CutOperation, before: CutOperation | undefined): boolean =>
  hasLock(cut) && before !== undefined && isLocked(cut) !== isLocked(before);

/** Fed by the gearbox, which is set for it. */
const isFed = ({ kind, feed }: CutOperation): boolean => feed.value > 0 && !kindOf({ kind }).handFed;
const runs = ({ speed }: CutOperation): boolean => speed.value > 0;

/** A speed left in from the operation before is the likelier the further down it has to go (trade: Mistakes). */
function leftIn(before: CutOperation, cut: CutOperation, { shop }: Run): Caution[] {
  if (!runs(cut) || before.speed.value < shop.cutting.speedDrop * cut.speed.value) return [];
  return [{ kind: 'mistake', text: `Down from ${sayFigure(before.speed.value)} rev/min first.` }];
}

/** Tools for which the post has no place left: those that come last into it. */
function placeless({ setup, cuts }: StoppedSetup): Set<string> {
  const inPost = new Set(cuts.flatMap(({ tool }) => (tool.mount === 'post' ? [tool.id] : [])));
  return new Set([...inPost].slice(setup.run.shop.machine.post?.places ?? Infinity));
}

/** What is asked of every operation of a set-up, looked up once: its pins by operation, and tools without a place. */
interface Looked {
  pins: ReadonlyMap<string, Pin>;
  placeless: ReadonlySet<string>;
}

const lookedUp = (setup: StoppedSetup): Looked => ({
  pins: new Map(setup.pins.flatMap((pin) => pin.operations.map((key) => [key, pin] as const))),
  placeless: placeless(setup),
});

/** Bringing the slide to its stop: at each operation, or where it stood at another place before. */
function stopUse(cut: CutOperation, index: number, { cuts }: StoppedSetup, pins: Looked['pins']): HandElement {
  const pin = pins.get(cut.key);
  if (!pin) return { name: 'stop', minutes: 0 };
  const { name, minutes, per } = pin.use;
  if (per === 'operation') return { name, minutes };
  const onAxis = ({ key }: CutOperation) => pins.get(key)?.axis === pin.axis;
  const last = per === 'anew' ? cuts.slice(0, index).findLast(onAxis) : (lastBefore(cuts, index, onAxis) ?? cut);
  return { name, minutes: last && pins.get(last.key) === pin ? 0 : minutes, change: true };
}

/** Coming to each cut: by the read-out, or by the scale of the quill; to the last by a stop of the cross-slide, where it has one. */
function toSize({ key, passes, tool }: CutOperation, { crossStops, setup }: StoppedSetup): HandElement[] {
  const { handMinutes: hand, stops } = setup.run.shop;
  const times = passes.length;
  if (tool.mount === 'tailstock') return [{ name: `quill to its depth, ${times} ×`, minutes: times * hand.quill }];
  const byReading = (count: number) => ({ name: `come to the read-out, ${count} ×`, minutes: count * hand.approach });
  return crossStopAt(crossStops, key)
    ? [byReading(times - 1), { name: 'cross-slide to its stop', minutes: stops.crossUse }]
    : [byReading(times)];
}

/** Hand elements of one operation (trade: Time). What went before it counts, also around from the last to the first. */
function timed(cut: CutOperation, index: number, setup: StoppedSetup, looked: Looked): TimedOperation {
  const { run } = setup.setup;
  const { pins } = looked;
  const hand = run.shop.handMinutes;
  const { stringy } = run.shop.material;
  const checks = plannedChecks(cut.checks, run);
  const fluid = fluidFor(kindOf(cut), run.shop.material);
  const running = lastBefore(setup.cuts, index, runs) ?? cut;
  const fed = lastBefore(setup.cuts, index, isFed) ?? cut;
  const swapped = changesTool(cut, index, setup.cuts) && looked.placeless.has(cut.tool.id);
  const cleared = (metal(cut.before) - metal(cut.after)) / 1000;
  const swarf = cut.kind === 'part-off' ? 0 : (cleared / hand.clearEvery) * (stringy ? hand.clearStringy : hand.clear);
  const items: HandElement[] = [
    ...mountElements(cut, index, setup, hand),
    { change: true, name: 'put it in the place of another', minutes: swapped ? hand.swapTool : 0 },
    {
      change: true,
      name: 'change speed',
      minutes: !runs(cut) || running.speed.value === cut.speed.value ? 0 : hand.speedChange,
    },
    {
      change: true,
      name: 'change feed',
      minutes: !isFed(cut) || fed.feed.value === cut.feed.value ? 0 : hand.feedChange,
    },
    ...cut.byHand,
    { name: fluid ?? 'oil', minutes: isWet(fluid) ? hand.oil : 0 },
    ...toSize(cut, setup),
    stopUse(cut, index, setup, pins),
    ...threadBack(cut, hand, run.shop.machine),
    {
      change: true,
      name: 'compound to this angle again',
      minutes: usesCompound(cut) && setsOver(cut, lastBefore(setup.cuts, index, usesCompound)) ? hand.compoundAgain : 0,
    },
    {
      change: true,
      name: isLocked(cut) ? 'lock the carriage' : 'free the carriage',
      minutes: movesLock(cut, lastBefore(setup.cuts, index, hasLock)) ? hand.lockCarriage : 0,
    },
    {
      change: true,
      name: `turn the post to ${sayFigure(cut.postAt ?? 0)}°`,
      minutes: turnsPost(cut, lastBefore(setup.cuts, index, isInPost)) ? hand.turnPost : 0,
    },
    ...checks.map(({ what, gauge, every }) => ({
      name: `${gauge?.name ?? 'measure'}: ${what}${every > 1 ? `, every ${every}th piece` : ''}`,
      minutes: (gauge?.minutes ?? 0) / every,
      of: 'measure' as const,
    })),
    ...checks.slice(0, cut.measuredBetween ? 1 : 0).map(({ what, gauge, every }) => ({
      name: `${gauge?.name ?? 'measure'}: ${what}, before the last cut`,
      minutes: (gauge?.minutes ?? 0) / every,
      of: 'measure' as const,
    })),
    { name: `clear ${sayFixed(cleared, 1)} cm³ of swarf`, minutes: swarf, of: 'clear' },
  ];
  const coarse = checks
    // Said where it is cut; another look needs no other word.
    .filter(({ gauge, again }) => gauge && !gauge.fineEnough && !again)
    .map(
      ({ what, gauge }) =>
        `No gauge is fine enough for ${what}: ${gauge?.name} repeats to ±${sayFigure(gauge?.repeats ?? 0)} mm, more than a fifth of the tolerance.`,
    );
  const cautions = [...cut.cautions, ...leftIn(running, cut, run)];
  const opByOp = isOpByOp(setup.setup);
  const counted = opByOp ? items.filter(({ change }) => !change) : items;
  return {
    ...cut,
    checks,
    ...(fluid ? { fluid } : {}),
    cautions,
    warnings: [...cut.warnings, ...coarse],
    hand: sum('handling time', 'min', lettered(counted)),
    handBy: byGroup(counted),
    once: opByOp ? items.reduce((total, { change, minutes }) => total + (change ? minutes : 0), 0) : 0,
  };
}

/** One piece in one set-up: its operations and getting it in and out. @param before the set-up before it */
export function timeSetup(stopped: StoppedSetup, before?: StoppedSetup): PlannedSetup {
  const { setup, order, broken, overruled, start, pins, crossStops, readied, workStop, cuts } = stopped;
  const looked = lookedUp(stopped);
  const operations = cuts.map((cut, index) => timed(cut, index, stopped, looked));
  const loading = loadingOf(stopped);
  const total = (pick: (operation: TimedOperation) => Figure) =>
    operations.reduce((minutes, operation) => minutes + pick(operation).value, 0);
  return {
    setup,
    order,
    broken,
    overruled,
    start,
    pins,
    crossStops,
    readied,
    workStop,
    operations,
    loading,
    setting: settingTime(
      stopped,
      operations.reduce((minutes, { once }) => minutes + once, 0),
      before?.setup.holding,
    ),
    piece: sum(`one piece in set-up ${setup.number}`, 'min', [
      term(
        'c',
        'cutting',
        total(({ cutting }) => cutting),
        'min',
        'computed',
      ),
      term(
        'h',
        'handling',
        total(({ hand }) => hand),
        'min',
        'computed',
      ),
      term('l', 'getting it in and out', loading.value, 'min', 'computed'),
    ]),
  };
}

/** A figure of each set-up, added up. */
const overSetups = (
  name: string,
  symbol: string,
  setups: PlannedSetup[],
  of: (planned: PlannedSetup) => number,
): Figure =>
  sum(
    name,
    'min',
    setups.map((planned) =>
      term(`${symbol}${planned.setup.number}`, `set-up ${planned.setup.number}`, of(planned), 'min', 'computed'),
    ),
  );

const cuttingIn = ({ operations }: PlannedSetup): number =>
  operations.reduce((minutes, { cutting }) => minutes + cutting.value, 0);

function pieceTime(cutting: Figure, hand: Figure, outside: readonly OutsideOp[], { shop }: Run): Figure {
  const { timeAllowance } = shop;
  const elsewhere = outside.reduce((minutes, { piece }) => minutes + piece.value, 0);
  return figure({
    name: 'time for a piece',
    unit: 'min',
    value: (cutting.value + hand.value + elsewhere) * (1 + timeAllowance),
    formula: outside.length > 0 ? '(c + h + o) · (1 + a)' : '(c + h) · (1 + a)',
    terms: [
      term('c', 'cutting', cutting.value, 'min', 'computed'),
      term('h', 'handling', hand.value, 'min', 'computed'),
      ...(outside.length > 0 ? [term('o', 'on other machines', elsewhere, 'min', 'start value' as const)] : []),
      term('a', 'allowance for what no element covers', timeAllowance, '', 'start value'),
    ],
  });
}

/** Every size of the drawing measured once on the first piece. */
function firstOffTime(setups: PlannedSetup[]): Figure {
  const checks = setups.flatMap(({ operations }) => operations.flatMap((operation) => operation.checks));
  const minutes = checks.reduce((total, { gauge, again }) => total + (again ? 0 : (gauge?.minutes ?? 0)), 0);
  return sum('inspection of the first-off', 'min', [
    term('i', 'every size of the drawing once', minutes, 'min', 'start value'),
  ]);
}

function batchTime(
  run: Run,
  { blade, bars }: Stock,
  setups: PlannedSetup[],
  { setup, piece, firstOff }: Pick<Times, 'setup' | 'piece' | 'firstOff'>,
): Figure {
  const barLoads = blade ? bars.value : 0;
  const barLoad = setups[0]?.setup.holding.load ?? 0;
  return figure({
    name: 'time for the batch',
    unit: 'min',
    value: setup.value + run.quantity * piece.value + barLoads * barLoad + firstOff.value,
    formula: 's + N · p + b · l + i',
    terms: [
      term('s', 'setting up', setup.value, 'min', 'computed'),
      term('N', 'quantity', run.quantity, '', 'run'),
      term('p', 'time for a piece', piece.value, 'min', 'computed'),
      term('b', 'bars loaded', barLoads, '', 'computed'),
      term('l', 'load and true a bar', barLoad, 'min', 'start value'),
      term('i', 'inspection of the first-off', firstOff.value, 'min', 'computed'),
    ],
  });
}

/** Piece, batch and setting up (trade: Time). */
export function planTimes(run: Run, stock: Stock, setups: PlannedSetup[], outside: readonly OutsideOp[] = []): Times {
  const cutting = overSetups('cutting', 'c', setups, cuttingIn);
  const hand = overSetups('handling', 'h', setups, (planned) => planned.piece.value - cuttingIn(planned));
  const piece = pieceTime(cutting, hand, outside, run);
  const setup = sum('setting up', 'min', [
    ...setups.map(({ setting, setup: { number } }) =>
      term(`s${number}`, `set-up ${number}`, setting.value, 'min', 'computed'),
    ),
    ...outside.map(({ name, setup: once }, index) => term(`o${index + 1}`, name, once.value, 'min', 'start value')),
  ]);
  const firstOff = firstOffTime(setups);
  return { setup, piece, cutting, hand, firstOff, batch: batchTime(run, stock, setups, { setup, piece, firstOff }) };
}
