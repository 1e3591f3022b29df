import { sayFigure, sayFixed } from '../../model/units/mark';
import { figure, sum, term, type Figure } from '../../model/figure';
import { andThen, good, type Result } from '../../model/result';
import { remove, type Workpiece } from '../../model/workpiece/workpiece';
import { checkClearances, clearancesOf, type Clearance } from '../holding/clearances';
import { kindOf } from '../operations';
import type { Cuts, Operation, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { cuttingSpeed, notAbove } from '../cutting/speed';
import { drillWithin, plungeWithin, type Plunge } from '../cutting/plunge';
import { speedFor, type SpeedFigure } from '../cutting/speedFor';
import { droppedBefore } from '../cutting/shoulder';
import { woundWithin } from '../cutting/winding';
import type { Runs } from './levers';

/** A figure of the machine that work by hand has not. */
const none = (name: string, unit: Figure['unit'], note: string): SpeedFigure =>
  figure({ name, unit, value: 0, formula: '0', terms: [], note });

/** Depth of the last cut that has an infeed, mm. */
export const lastDepth = (passes: readonly Pass[]): number => passes.findLast(({ depth }) => depth > 0)?.depth ?? 0;

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
    note: `The formula gives ${sayFixed(wanted.value, 3)}; the gearbox's nearest feed not above it is taken.`,
  };
}

/** What a spindle speed gives on a diameter. */
export const reachedOn = (diameter: number, speed: number): Figure =>
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
      note: `The planner would take ${sayFigure(less ?? usual.value)}.`,
    });
  if (less === undefined || less >= usual.value) return usual;
  return figure({
    name: usual.name,
    unit: usual.unit,
    value: less,
    formula: 'x',
    terms: [term('x', 'the quickest of the machine within all limits', less, usual.unit, 'computed')],
    note: `Usual were ${sayFigure(usual.value)}: that is more than a limit allows.`,
  });
}

/** Where an operation cuts farthest out of its holding. */
export const farthestOut = ({ from, to }: Operation): number => Math.min(from, to);

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

/** An operation with its cuts on the work as it is, before it is known where the levers stand for it. */
export interface Ready {
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

/** An operation made ready, or why its tool meets something or it cannot be cut. */
export function readyToCut(operation: Operation, work: Workpiece, setup: Setup): Result<Ready> {
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
export function runsOf({ operation, cuts, speed, feed, limits }: Ready, { run }: Setup): Runs {
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
