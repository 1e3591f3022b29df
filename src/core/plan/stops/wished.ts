import { isStop, type Overrule, type StopOverrule } from '../../model/overrule';
import type { TakenOverrule } from '../../model/plan/taken';
import type { Demand } from './demand';
import { stopDevices, type StopMeans } from './devices';
import type { With } from './devices/device';

/** What was decided of a place, and which of the overrules says so. */
export interface StopWish extends Pick<StopOverrule, 'operation' | 'stop'> {
  index: number;
}

/** What the last overrule says that is about an operation of a place, but for those that are not followed. */
export function wishAt(
  { cuts }: Demand,
  overrules: readonly Overrule[],
  without: ReadonlySet<number>,
): StopWish | undefined {
  const index = overrules.findLastIndex(
    (overrule, at) => !without.has(at) && isStop(overrule) && cuts.some(({ key }) => key === overrule.operation),
  );
  const overrule = overrules[index];
  return overrule && isStop(overrule) ? { index, operation: overrule.operation, stop: overrule.stop } : undefined;
}

const sorted = (lengths: readonly number[]) => JSON.stringify(lengths.toSorted((a, b) => a - b));

/** Whether a means serves a place as it was decided. */
export const isAsWished = (wish: StopWish | undefined, means: StopMeans, laidIn: With | undefined): boolean =>
  !wish ||
  (wish.stop.means === means && (!wish.stop.spacers || sorted(wish.stop.spacers) === sorted(laidIn?.spacers ?? [])));

const cannot = (index: number, because: string): TakenOverrule => ({
  index,
  state: 'cannot',
  breaks: [{ rule: 'STOPS', because, strength: 'H' }],
});

const said = ({ means, spacers }: StopOverrule['stop']): string =>
  `“${means}${spacers ? ` with ${spacers.join(' + ')}` : ''}”`;

/** A wish that is not followed, since a length would not hold with it. */
export const cannotHold = (index: number, { stop }: StopOverrule): TakenOverrule =>
  cannot(index, `With ${said(stop)} a length would not keep its limits, or a tool would meet what holds the work.`);

/**
 * What became of a wish that no length speaks against.
 * @param isServed something of the machine is as it was wished
 * @param place which of its places it has become
 */
export function takenWish({ index, stop }: StopWish, isServed: boolean, place: number | undefined): TakenOverrule {
  const known = [...new Set(stopDevices.map(({ means }) => means))];
  if (!known.some((means) => means === stop.means))
    return cannot(index, `No means is called “${stop.means}”; there are ${known.join(', ')}.`);
  if (!isServed) return cannot(index, `Nothing of this machine that is ${said(stop)} serves this place.`);
  if (stop.station !== undefined && stop.station !== place)
    return cannot(
      index,
      `It is ${place === undefined ? 'no station' : `station ${place}`}, not ${stop.station}: they are numbered from the free end.`,
    );
  return { index, state: 'kept', breaks: [] };
}
