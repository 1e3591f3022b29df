import { sayFigure } from '../model/units/mark';
import { good, refuse, type Result } from '../model/result';
import { roomOf, takeOf, taken, type CutList, type SawPiece } from './cutList';

/** Beyond this a list is a slip of the keyboard, not work for a saw. */
const MOST_PIECES = 100_000;

/** Refuses what no saw can do: no bars, no pieces, a piece longer than every bar, lengths and counts that are none. */
export function possible({ kerf, bars, pieces }: CutList): Result<null> {
  if (bars.length === 0) return refuse('bars', 'is empty: there is nothing to saw from');
  if (pieces.length === 0) return refuse('pieces', 'is empty: there is nothing to saw');
  if (kerf < 0) return refuse('kerf', `${sayFigure(kerf)} mm: a kerf cannot be less than nothing`);
  for (const [index, { length, endWaste }] of bars.entries()) {
    if (length <= 0) return refuse(`bars[${index}].length`, `${sayFigure(length)} mm must be more than nothing`);
    if (endWaste < 0 || endWaste >= length)
      return refuse(
        `bars[${index}].endWaste`,
        `${sayFigure(endWaste)} mm must be less than the bar (${sayFigure(length)} mm) and not below nothing`,
      );
  }
  for (const [index, { length, count, turned }] of pieces.entries()) {
    if (length <= 0) return refuse(`pieces[${index}].length`, `${sayFigure(length)} mm must be more than nothing`);
    if (turned && turned.longest < turned.lost + length)
      return refuse(
        `pieces[${index}].turned`,
        `the longest length that the spindle takes (${sayFigure(turned.longest)} mm) gives no piece: ${sayFigure(turned.lost)} mm of it are lost, and a piece takes ${sayFigure(length)} mm`,
      );
    if (!Number.isInteger(count) || count < 1)
      return refuse(`pieces[${index}].count`, `${sayFigure(count)} must be a whole number of pieces, 1 or more`);
  }
  const total = pieces.reduce((sum, { count }) => sum + count, 0);
  if (total > MOST_PIECES)
    return refuse('pieces', `${total} pieces are more than ${MOST_PIECES}: see whether a count is wrong`);
  const there = bars.filter(({ count }) => count !== 0);
  if (there.length === 0) return refuse('bars', 'no bars are left: every count is 0');
  const room = Math.max(...there.map((bar) => roomOf(bar, kerf)));
  const long = pieces.findIndex((piece) => taken(takeOf(piece, kerf), 1) > room + 1e-6);
  if (long < 0) return good(null);
  const { length, turned } = pieces[long] as SawPiece;
  return refuse(
    `pieces[${long}].length`,
    turned
      ? `${sayFigure(length)} mm and the ${sayFigure(turned.lost)} mm that the chuck holds and its end loses are longer than any bar gives`
      : `${sayFigure(length)} mm is longer than any bar gives (${sayFigure(room - kerf, 3)} mm)`,
  );
}
