import type { Setup } from '../../model/plan/setup';
import type { Tool } from '../../model/shop/shop';
import { drillSlips, usualDrillFeed } from '../cutting/drillLoad';
import { minutesOfCuts } from '../cutting/estimate';
import { speedFor } from '../cutting/speedFor';
import { stoutest } from './boringBars';
import { drillFor, holeServing, type HoleNeed } from './holeNeed';

/**
 * A drill that opens a hole of the drawing first, where boring it all takes longer than that (trade: Cutting).
 * @returns the hole that the bar then finds; undefined where boring is as quick, or no drill is held
 */
export function openedFirst(need: HoleNeed, bars: readonly Tool[], setup: Setup): HoleNeed | undefined {
  const { handMinutes: hand, cutting, allowances, machine } = setup.run.shop;
  const there = holeServing(need, setup)?.diameter;
  if (there === undefined || setup.stock.bore > 0) return undefined;
  const opened = { ...need, hole: there, atLeast: there + 2 * cutting.deepestBore };
  const found = drillFor(opened, setup);
  if (!found) return undefined;
  const { tool, depth } = found;
  const { diameter = 0, point = 118 } = tool;
  const bar = stoutest(bars, diameter);
  if (!bar || drillSlips({ diameter, point, hole: there }, setup) > 1) return undefined;
  const aim = need.aim + 2 * cutting.finishBore;
  const cuts = (deep: number) => Math.ceil(deep / cutting.deepestBore - 1e-9);
  const walls = (from: number) => cuts((aim - from) / 2 - cutting.finishBore);
  const minutes = minutesOfCuts({ kind: 'bore', tool: bar }, aim, setup);
  const alongIt = minutes(walls(there), need.depth + allowances.approach);
  // Of a blind one the cone is faced out in layers.
  const opening =
    minutes(walls(diameter), need.depth + allowances.approach) +
    (need.through ? 0 : minutes(cuts(need.depth - depth), (aim - there) / 2));
  const fed = Math.min(
    usualDrillFeed(diameter, setup) * speedFor({ kind: 'drill', tool }, diameter, setup, false).value,
    cutting.windings * (machine.quillDial?.travel ?? Infinity),
  );
  // In, its turn of the lever, and whatever else the tailstock holds in again.
  const drilling =
    2 * (hand.changeTailstock + hand.tailstock + hand.speedChange) + hand.quill + (depth + allowances.approach) / fed;
  return drilling + opening < alongIt ? opened : undefined;
}
