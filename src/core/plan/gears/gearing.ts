import { sayFigure } from '../../model/units/mark';
import type { Thread } from '../../model/part/feature';
import { sayPpm, type Gearing } from '../../model/plan/gearing';
import type { Leadscrew } from '../../model/shop/machine';
import type { Shop, ShopForRun } from '../../model/shop/shop';
import { halfNutsFor } from './halfNuts';
import { oneMoreWheel } from './oneMoreWheel';
import { nearestTrain, trainsWithin } from './trains';

/** A thread and its length, mm. */
export type Threaded = Pick<Thread, 'pitch' | 'hand'> & { length: number };

/** How far its pitch may be off, ppm: in itself, and over its length. */
export const errorAtMost = (
  { length }: Pick<Threaded, 'length'>,
  { pitchErrorAtMost, threadErrorAtMost }: Shop['cutting'],
): number => Math.min(pitchErrorAtMost, (1e6 * threadErrorAtMost) / length);

/** The levers of a gearbox whose table has a pitch closely enough. */
function byLevers({ pitch }: Threaded, { box = [] }: Leadscrew, most: number) {
  const off = (other: number) => 1e6 * (other / pitch - 1);
  return box
    .filter((row) => Math.abs(off(row.pitch)) <= most)
    .map(({ pitch: cut, levers }) => ({ levers, pitch: cut, error: off(cut) }))
    .sort((a, b) => Math.abs(a.error) - Math.abs(b.error))[0];
}

/** Asked of every thread at every look at its set-up: found once for a leadscrew and what it is asked. */
const known = new WeakMap<Leadscrew, Map<string, Wheels | undefined>>();

type Wheels = Required<Pick<Gearing, 'train'>> & Pick<Gearing, 'toGet'>;

/** Wheels on hand, or with one that is got for it. */
function findWheels(
  thread: Threaded,
  leadscrew: Leadscrew,
  most: number,
  cutting: Shop['cutting'],
): Wheels | undefined {
  const [train] = trainsWithin(thread, leadscrew, most);
  if (train) return { train };
  const more = oneMoreWheel(thread, leadscrew, most, [cutting.wheelLeast, cutting.wheelMost]);
  return more && { train: more.train, toGet: more.teeth };
}

function wheelsFor(thread: Threaded, leadscrew: Leadscrew, most: number, cutting: Shop['cutting']): Wheels | undefined {
  const found = known.get(leadscrew) ?? new Map<string, Wheels | undefined>();
  known.set(leadscrew, found);
  const key = [thread.pitch, thread.hand, most, cutting.wheelLeast, cutting.wheelMost].join(' ');
  if (!found.has(key)) found.set(key, findWheels(thread, leadscrew, most, cutting));
  return found.get(key);
}

/**
 * How a machine cuts a thread, by its gearbox or with the fewest wheels, one of which may have to be got (trade: Wheels); undefined
 * where it does not.
 */
export function gearingFor(
  thread: Threaded,
  { machine, cutting }: Pick<ShopForRun, 'machine' | 'cutting'>,
): Gearing | undefined {
  const { leadscrew } = machine;
  if (!leadscrew) return undefined;
  const most = errorAtMost(thread, cutting);
  const box = byLevers(thread, leadscrew, most);
  const wheels = box ? undefined : wheelsFor(thread, leadscrew, most, cutting);
  const by = box ?? wheels?.train;
  if (!by) return undefined;
  return {
    ...(box ? { levers: box.levers } : {}),
    ...wheels,
    pitch: by.pitch,
    error: by.error,
    over: (by.error * thread.length) / 1e6,
    nuts: halfNutsFor(by.pitch, leadscrew),
  };
}

/** Why a machine cuts no such thread, in words; undefined where it does. */
export function whyNotCut(thread: Threaded, shop: Pick<ShopForRun, 'machine' | 'cutting'>): string | undefined {
  const { name, leadscrew } = shop.machine;
  if (!leadscrew) return `${name} has no leadscrew`;
  if (gearingFor(thread, shop)) return undefined;
  const within = `within ${Math.floor(errorAtMost(thread, shop.cutting))} ppm of a pitch of ${sayFigure(thread.pitch, 4)} mm`;
  const nearest = nearestTrain(thread, leadscrew);
  if (!nearest) return `${name} has no two wheels that can be put on`;
  const { drivers, driven, error } = nearest;
  return `no train of its wheels comes ${within}, nor with one more: the nearest is ${drivers.join(' · ')} / ${driven.join(' · ')}, ${sayPpm(error)}`;
}
