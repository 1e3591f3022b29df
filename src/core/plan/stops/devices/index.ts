import type { StopDevice } from './device';
import type { Axis } from '../demand';
import { dial } from './dial';
import { eachTime, quillEachTime } from './eachTime';
import { indicator } from './indicator';
import { mark } from './mark';
import { measured, measuredDepth } from './measured';
import { preset } from './preset';
import { quill } from './quill';
import { readOut } from './readOut';
import { station } from './station';

const devices = [
  station,
  preset,
  readOut,
  dial,
  indicator,
  eachTime,
  measured,
  mark,
  quill,
  quillEachTime,
  measuredDepth,
] as const;

/** By which means a place may repeat. */
export type StopMeans = (typeof devices)[number]['means'];

/** Every device; of those that cost the same the first is taken. */
export const stopDevices: readonly (StopDevice & { means: StopMeans })[] = devices;

/** The device of a means, on a slide where there are two. */
export function deviceOf(means: StopMeans, axis?: Axis): StopDevice {
  const device = stopDevices.find((known) => known.means === means && (axis === undefined || known.axis === axis));
  if (!device) throw new Error(`no stop device ${means}`);
  return device;
}
