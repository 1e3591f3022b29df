import type { StopDevice } from './device';
import { eachTime } from './eachTime';
import { quill } from './quill';
import { readOut } from './readOut';
import { station } from './station';

const devices = [station, readOut, eachTime, quill] as const;

/** By which means a place may repeat. */
export type StopMeans = (typeof devices)[number]['means'];

/** Every device; of those of one slide the first that has a place left is taken. */
export const stopDevices: readonly (StopDevice & { means: StopMeans })[] = devices;

/** The device of a means. */
export function deviceOf(means: StopMeans): StopDevice {
  const device = stopDevices.find((known) => known.means === means);
  if (!device) throw new Error(`no stop device ${means}`);
  return device;
}
