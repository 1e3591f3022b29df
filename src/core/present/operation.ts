import { sayFigure } from '../model/units/mark';
import { FLUID_WORDS } from './fluid';
import { dialReadings, sayReading, type DialReading } from '../model/shop/dial';
import { formatLength } from '../model/units/length';
import { show } from '../model/units/show';
import type { PlannedPass } from '../plan/cuts/cutOperation';
import type { PlannedCheck, PlannedSetup, TimedOperation } from '../plan/times/planTimes';
import { crossReadingOf, type CrossReading } from './cross';
import { crossStopAt, type CrossStop } from '../plan/stops/crossStops';
import { sayLimits } from './limits';
import { stopOf, type StopView } from './stop';

/** One cut: what its column says is what the operator brings the machine to. */
export interface PassView {
  pass: PlannedPass;
  depth: string;
  /** Where it ends: the cross-slide's reading, or z where it goes along. */
  to: string;
  on: 'cross' | 'z';
  /** By the dial of a machine without a read-out. */
  dial?: string;
  reading?: DialReading;
}

/** A size to measure. */
export interface CheckView {
  what: string;
  limits: string;
  /** Without one nothing in the list measures it. */
  gauge: string | undefined;
  /** How often, from the second piece on: empty at every piece. */
  often: string;
  again: boolean;
  fineEnough: boolean;
}

/** An operation as every surface shows it: in the run's units, as its machine is read. */
export interface OperationView {
  number: number;
  name: string;
  byHand: boolean;
  stop: StopView | undefined;
  cross: CrossReading;
  /** What the cross-slide comes to in the end, where it makes a diameter. */
  target: string | undefined;
  /** Which stop of the cross-slide it comes to there, and in words. */
  crossStop?: { place: number; words: string };
  /** rev/min, or that the spindle stands. */
  speed: string;
  feed: string;
  /** What is brought to its cuts, in words. */
  fluid?: string;
  /** What somebody wrote to it. */
  note?: string;
  passes: PassView[];
  checks: CheckView[];
}

const checkView = (
  { what, size, gauge, every, again }: PlannedCheck,
  units: PlannedSetup['setup']['run']['units'],
): CheckView => ({
  what,
  limits: sayLimits(size, units),
  gauge: gauge?.name,
  often: every > 1 ? `every ${every}th` : '',
  again: again === true,
  fineEnough: gauge?.fineEnough !== false,
});

/** A stop of the cross-slide in words. */
export const sayCrossStop = ({ place }: Pick<CrossStop, 'place'>): string => `cross stop ${place}`;

/** The one view of an operation: sheet, paper, command line and plan file say what stands here. */
export function operationView(planned: PlannedSetup, operation: TimedOperation): OperationView {
  const { units, shop } = planned.setup.run;
  const cross = crossReadingOf(shop.machine, units);
  // The dial is set to nought where the first cut begins.
  const { crossDial } = shop.machine;
  const readings =
    cross.dial && crossDial
      ? dialReadings(
          operation.passes.map(({ depth }) => depth),
          crossDial,
        )
      : undefined;
  const passes = operation.passes.map((pass, index): PassView => {
    const { diameter, z = 0 } = pass;
    const depth = formatLength(pass.depth, units, true);
    return diameter === undefined
      ? { pass, depth, to: formatLength(z, units), on: 'z' }
      : {
          pass,
          depth,
          to: cross.read(diameter),
          on: 'cross',
          ...(readings?.[index] ? { dial: sayReading(readings[index]), reading: readings[index] } : {}),
        };
  });
  const last = passes.at(-1);
  const crossStop = crossStopAt(planned.crossStops, operation.key);
  const note = planned.setup.run.notes.find(({ operation: key }) => key === operation.key);
  return {
    number: operation.number,
    name: operation.name,
    byHand: operation.stop.means === 'none',
    stop: stopOf(planned, operation),
    cross,
    target: last?.on === 'cross' ? last.to : undefined,
    ...(crossStop ? { crossStop: { place: crossStop.place, words: sayCrossStop(crossStop) } } : {}),
    speed: operation.speed.value > 0 ? sayFigure(operation.speed.value) : 'off',
    ...(operation.fluid ? { fluid: FLUID_WORDS[operation.fluid] } : {}),
    ...(note ? { note: note.text } : {}),
    feed: operation.stop.means === 'none' ? 'hand' : show(operation.feed.value, 'mm/rev', units).text,
    passes,
    checks: operation.checks.map((check) => checkView(check, units)),
  };
}
