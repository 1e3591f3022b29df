import type { Figure } from '../model/figure';
import { dialMove, sayDial } from '../model/shop/dial';
import { formatLength } from '../model/units/length';
import { deviceOf, type StopMeans } from '../plan/stops/devices';
import { pinOf, type Pin } from '../plan/stops/planStops';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';

/** Where an operation stops, and how that is brought about. */
export interface StopView {
  means: StopMeans;
  place?: number;
  /** `station 2`, and in short. */
  words: string;
  short: string;
  axis: 'carriage' | 'quill';
  /** Where each edge that may have been touched comes to stand; the first is the tool's own. */
  settings: { edge: 'left' | 'right' | 'tip'; figure: Figure; text: string }[];
  fine: boolean;
  /** Turns and divisions of the carriage's dial, where nothing stands at its setting. */
  dial?: string;
}

/** A pin in words, and in short. */
export const pinWords = ({ means, place }: Pin): string => deviceOf(means).words(place);
export const pinShort = ({ means, place }: Pin): string => deviceOf(means).short(place);

/** Where an operation of a set-up stops; by hand nothing does. */
export function stopOf({ pins, setup }: PlannedSetup, { key, stop }: TimedOperation): StopView | undefined {
  const pin = pinOf({ pins }, key);
  if (!pin) return undefined;
  const { units, shop } = setup.run;
  const { carriageDial } = shop.machine;
  const device = deviceOf(pin.means);
  return {
    means: pin.means,
    ...(pin.place === undefined ? {} : { place: pin.place }),
    words: pinWords(pin),
    short: pinShort(pin),
    axis: device.axis,
    settings: stop.settings.map(({ edge, setting }) => ({
      edge,
      figure: setting,
      text: formatLength(setting.value, units, pin.fine),
    })),
    fine: pin.fine,
    ...(carriageDial && !device.staysSet ? { dial: sayDial(dialMove(pin.setting, carriageDial)) } : {}),
  };
}
