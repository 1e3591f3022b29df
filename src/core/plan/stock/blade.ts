import { EDGE_THROUGH } from '../../model/tolerances';
import type { Blade } from '../../model/plan/stock';
import { good, refuse, type Result } from '../../model/result';
import { largestDiameter } from '../../model/part/part';
import type { Run } from '../../model/run';
import type { Tool } from '../../model/shop/shop';
import { wishedElsewhere, wishesOf } from '../reach/wishes';
import { say } from '../../model/words';

/**
 * The blade to part the piece off with: the narrowest that reaches the centre, or the wall of a through hole, and is
 * stiff enough in tough material (trade: Stock), its holder clear of the bar behind the cut. A run that gives a blade width
 * means that blade.
 * @param over the bar over its corners, mm
 */
export function chooseBlade(run: Run, over: number): Result<Blade> {
  const { part, allowances, shop, units } = run;
  const blades = shop.tools.filter(({ does, width, reach }) => does.includes('part-off') && width && reach);
  // A hole that waits for the other end is not there yet when the piece is parted off.
  const later = wishedElsewhere(wishesOf(run), run.firstEnd === 'back' ? 'back' : 'front');
  const open = part.holes.filter(({ through, path }) => through && !later.includes(path));
  const bore = Math.max(0, ...open.map(({ diameter }) => diameter.nominal));
  const toWall = (largestDiameter(part) - bore) / 2 + shop.allowances.bladeSpare;
  const reachNeeded = ({ holder = 0 }: Tool) => Math.max(toWall, holder > 0 ? (over - bore) / 2 + EDGE_THROUGH : 0);
  const wanted = allowances.bladeWidth;
  const path = wanted === undefined ? 'part.outside' : 'allowances.bladeWidth';
  const listed = blades
    .map(({ width = 0, reach = 0 }) => `${say(width, units)} reaching ${say(reach, units)}`)
    .join(', ');
  const wide =
    wanted === undefined
      ? blades
      : blades.filter(({ width = 0 }) => Math.abs(width - wanted) <= shop.allowances.bladeWithin);
  if (wide.length === 0) return refuse(path, `no blade of about that width is in the list: it has ${listed || 'none'}`);
  const stiff = (blade: Tool) =>
    wanted !== undefined ||
    !shop.material.tough ||
    (blade.width ?? 0) >= reachNeeded(blade) / shop.cutting.bladeReachPerWidth;
  const serving = wide
    .filter((blade) => (blade.reach ?? 0) >= reachNeeded(blade) && stiff(blade))
    .sort((a, b) => Math.abs((a.width ?? 0) - (wanted ?? 0)) - Math.abs((b.width ?? 0) - (wanted ?? 0)));
  const tool = serving[0];
  if (!tool)
    return refuse(
      path,
      `no blade reaches far enough to part it off: ${say(Math.max(...wide.map(reachNeeded)), units)} are needed (half the diameter, less a through hole, and ${say(shop.allowances.bladeSpare, units)}; half the bar, so that the holder clears it); the list has ${listed}`,
    );
  return good({ tool, width: wanted ?? tool.width ?? 0 });
}
