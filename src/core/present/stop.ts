import type { Figure } from '../model/figure';
import { dialMove, sayDial, type DialMove } from '../model/shop/dial';
import { formatLength, formatNominal, type UnitSystem } from '../model/units/length';
import type { Axis } from '../plan/stops/demand';
import { deviceOf, type StopMeans } from '../plan/stops/devices';
import type { StopDevice, With } from '../plan/stops/devices/device';
import { pinOf, type Pin } from '../plan/stops/planStops';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';

/** Where an operation stops, and how that is brought about. */
export interface StopView extends With {
  means: StopMeans;
  place?: number;
  /** `station 2, spacer 10`, and in short. */
  words: string;
  short: string;
  axis: Axis;
  /** Where each edge that may have been touched comes to stand; the first is the tool's own. */
  settings: { edge: 'left' | 'right' | 'tip'; figure: Figure; text: string }[];
  fine: boolean;
  /** Turns and divisions of the carriage's dial, where nothing stands at its setting; the same as figures, where it goes by them. */
  dial?: string;
  move?: DialMove;
}

/** What is laid in before a stop, in words; nothing where nothing is. */
function sayLaidIn({ spacers = [], feeler, made, scale }: With, units: UnitSystem): string {
  const one = (mm: number) => formatNominal(mm, units);
  if (scale) return ', its scale';
  if (feeler !== undefined) return `, feeler ${one(feeler)}`;
  if (spacers.length === 0) return '';
  return `, ${made ? 'a spacer made' : spacers.length > 1 ? 'spacers' : 'spacer'} ${spacers.map(one).join(' + ')}`;
}

/** A pin in words, and in short. */
export const pinWords = (pin: Pin, units: UnitSystem): string =>
  `${deviceOf(pin.means).words(pin.place)}${sayLaidIn(pin, units)}`;
export const pinShort = ({ means, place, spacers = [], feeler }: Pin, units: UnitSystem): string =>
  [deviceOf(means).short(place), ...spacers, ...(feeler === undefined ? [] : [feeler])]
    .map((part) => (typeof part === 'number' ? formatNominal(part, units) : part))
    .join(' + ');

/** A means in words, whichever of its places: `station`, `by the read-out`. */
export const meansWords = (means: StopMeans, axis: Axis): string =>
  deviceOf(means, axis).words(undefined).replace(' undefined', '');

/** The same with what is laid in: `station, spacer 10`. */
export const otherWords = (means: StopMeans, axis: Axis, laidIn: With | undefined, units: UnitSystem): string =>
  `${meansWords(means, axis)}${laidIn ? sayLaidIn(laidIn, units) : ''}`;

/** How a pin is drawn. */
export type PinShape = StopDevice['shape'];
export const pinShape = ({ means, axis }: Pin): PinShape => deviceOf(means, axis).shape;

/** Where an operation of a set-up stops; by hand nothing does. */
export function stopOf({ pins, setup }: PlannedSetup, { key, stop }: TimedOperation): StopView | undefined {
  const pin = pinOf({ pins }, key);
  if (!pin) return undefined;
  const { units, shop } = setup.run;
  const { carriageDial } = shop.machine;
  const { means, place, axis, setting, fine, spacers, made, feeler, scale } = pin;
  const isTurned = carriageDial !== undefined && axis === 'carriage' && !deviceOf(means, axis).staysSet;
  const move = isTurned ? dialMove(setting, carriageDial) : undefined;
  return {
    means,
    ...(place === undefined ? {} : { place }),
    ...(spacers ? { spacers } : {}),
    ...(made ? { made } : {}),
    ...(feeler === undefined ? {} : { feeler }),
    ...(scale ? { scale } : {}),
    words: pinWords(pin, units),
    short: pinShort(pin, units),
    axis,
    settings: stop.settings.map(({ edge, setting: figure }) => ({
      edge,
      figure,
      text: formatLength(figure.value, units, fine),
    })),
    fine,
    ...(move ? { dial: sayDial(move) } : {}),
    ...(move && means === 'dial' ? { move } : {}),
  };
}
