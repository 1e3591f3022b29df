import type { CutOperation } from '../cuts/cutOperation';
import type { HandMinutes } from '../../model/shop/minutes';
import type { Machine } from '../../model/shop/machine';
import type { HandElement } from './mounts';

/**
 * Bringing the tool back after each pass of a thread (trade: Wheels): half-nuts out, wound back and in again, on average half of
 * the way to the next mark waited for; shut, the spindle runs back as long as it cut; and one that is not to run back is turned by hand.
 */
export function threadBack(
  { gearing, passes, speed }: Pick<CutOperation, 'gearing' | 'passes' | 'speed'>,
  { halfNut, tapTurn }: HandMinutes,
  { runsBack }: Pick<Machine, 'runsBack'>,
): HandElement[] {
  if (!gearing) return [];
  const { nuts, pitch } = gearing;
  const times = `${passes.length} ×`;
  const cutting = passes.reduce((sum, { minutes }) => sum + minutes.value, 0);
  if (nuts.open === 'never')
    return runsBack === false
      ? [{ name: `spindle turned back by hand, ${times}`, minutes: cutting * speed.value * tapTurn }]
      : [{ name: `spindle runs back, half-nuts shut, ${times}`, minutes: cutting }];
  const wait = nuts.open === 'at-marks' ? nuts.apart / (2 * speed.value * pitch) : 0;
  const name = nuts.open === 'at-marks' ? 'half-nuts out, in at the mark' : 'half-nuts out and in';
  return [{ name: `${name}, ${times}`, minutes: passes.length * (halfNut + wait) }];
}
