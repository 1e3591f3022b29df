import { figure, sum, term, type Figure } from '../../model/figure';
import { isBetweenCentres, isOnBar } from '../../model/plan/setup';
import { centreDepth, centreDrillFor, endDiameter } from '../cutting/centres';
import type { CutOperation } from '../cuts/cutOperation';
import type { CutSetup } from '../cuts/planCuts';
import { deviceOf, stopDevices, type StopMeans } from './devices';
import { SAME_STOP } from '../../model/tolerances';

/** One place where something stops, shared by the operations that end there. */
export interface Pin {
  /** A, B, C… from the free end. */
  letter: string;
  means: StopMeans;
  /** Which of the places of its device: station 2. */
  place?: number;
  setting: number;
  /** Shown to one place more. */
  fine: boolean;
  /** Keys of the operations. */
  operations: string[];
}

/** How far the work itself goes in or comes out. */
export interface WorkStop {
  means: 'bar-stop' | 'spindle-stop' | 'centre-depth';
  setting: Figure;
  /** It is drawn back once the work is held: something comes out behind that does not go through it. */
  drawnBack?: true;
}

/** Kinds in words. */
const WORK_STOPS: Record<WorkStop['means'], string> = {
  'bar-stop': 'bar stop',
  'spindle-stop': 'spindle stop',
  'centre-depth': 'centres, deep',
};

/** What the work is set against, in words. */
export const sayWorkStop = ({ means, drawnBack }: Pick<WorkStop, 'means' | 'drawnBack'>): string =>
  drawnBack ? `${WORK_STOPS[means]}, then drawn back,` : WORK_STOPS[means];

export interface StoppedSetup extends CutSetup {
  pins: Pin[];
  workStop: WorkStop;
}

/** The setting of an operation's own edge; work by hand has none. */
export const settingOf = ({ stop }: Pick<CutOperation, 'stop'>): Figure => {
  const first = stop.settings[0];
  if (!first) throw new Error('an operation without a stop');
  return first.setting;
};

/** A to Z, then AA, AB… */
const letterOf = (index: number): string =>
  `${index < 26 ? '' : letterOf(Math.floor(index / 26) - 1)}${String.fromCharCode(65 + (index % 26))}`;

function pinsOf({ cuts, setup }: CutSetup): Pin[] {
  const { machine } = setup.run.shop;
  const pins: Omit<Pin, 'letter'>[] = [];
  for (const cut of cuts) {
    const axis = cut.stop.means;
    if (axis === 'none') continue;
    const setting = settingOf(cut).value;
    const fine = isFineStop(cut);
    const shared = pins.find((pin) => deviceOf(pin.means).axis === axis && Math.abs(pin.setting - setting) < SAME_STOP);
    if (shared) {
      shared.operations.push(cut.key);
      shared.fine ||= fine;
      continue;
    }
    const taken = (means: StopMeans) => pins.filter((pin) => pin.means === means).length;
    const device = stopDevices.find(
      (candidate) =>
        candidate.axis === axis &&
        (candidate.places === undefined || taken(candidate.means) < candidate.places(machine)),
    );
    if (!device) throw new Error(`nothing stops the ${axis}`);
    const places = device.places?.(machine) ?? Infinity;
    const place = Number.isFinite(places) ? taken(device.means) + 1 : undefined;
    pins.push({ means: device.means, ...(place && { place }), setting, fine, operations: [cut.key] });
  }
  return pins.sort((a, b) => a.setting - b.setting).map((pin, index) => ({ ...pin, letter: letterOf(index) }));
}

/** Whether a drill or a bar comes out behind, in a hole that is wider than the hole in the spindle stop. */
const comesOutWide = ({ setup, cuts }: CutSetup): boolean =>
  cuts.some(
    ({ tool, removal, to, diameter = 0 }) =>
      (tool.mount === 'tailstock' || removal.bore !== undefined) &&
      to > setup.part.length + setup.behind &&
      diameter > setup.run.shop.bodies.stopBore - setup.run.shop.allowances.closest,
  );

function workStopOf(planned: CutSetup): WorkStop {
  const { setup } = planned;
  if (isOnBar(setup))
    return {
      means: 'bar-stop',
      setting: sum('bar stop, jaws to the end of the bar', 'mm', [
        term('s', 'stick-out', setup.stickOut.value, 'mm', 'computed'),
      ]),
    };
  if (isBetweenCentres(setup)) {
    const drill = centreDrillFor(setup.run.shop, endDiameter(setup.part));
    return {
      means: 'centre-depth',
      setting: sum('depth of both centre holes, by the quill stop', 'mm', [
        term('t', 'depth of the centre hole', drill ? centreDepth(drill) : 0, 'mm', 'tool'),
      ]),
    };
  }
  const { length } = setup.part;
  return {
    means: 'spindle-stop',
    ...(comesOutWide(planned) ? { drawnBack: true } : {}),
    setting: figure({
      name: 'how far the work goes in',
      unit: 'mm',
      value: length + setup.behind - setup.holding.from,
      formula: 'L + k − z',
      terms: [
        term('L', 'length of the part', length, 'mm', 'drawing'),
        term('k', 'facing allowance at the far end', setup.behind, 'mm', 'computed'),
        term('z', 'finished face to jaws', setup.holding.from, 'mm', 'computed'),
      ],
    }),
  };
}

/**
 * Gathers where every operation stops (trade: Stops): one pin for each place, shared by those that end there, on the first
 * free station; when there are no more by the read-out, or set each time where the machine has none.
 */
export const planStops = (setups: CutSetup[]): StoppedSetup[] =>
  setups.map((setup) => ({ ...setup, pins: pinsOf(setup), workStop: workStopOf(setup) }));

/** A length held this closely, mm, is set and shown to a micrometre. */
const FINE = 0.1;

/** Whether a setting wants one place more: the length it makes is held closely. */
const isFineStop = ({ checks }: Pick<CutOperation, 'checks'>): boolean =>
  checks.some(({ measures, size }) => measures === 'length' && size !== undefined && size.upper - size.lower <= FINE);

/** The pin an operation stops at. */
export const pinOf = (setup: Pick<StoppedSetup, 'pins'>, key: string): Pin | undefined =>
  setup.pins.find(({ operations }) => operations.includes(key));
