import { lengthCut, type Stock } from '../../model/plan/stock';
import type { Run } from '../../model/run';

/** A stretch of a bar and what becomes of it. Lengths mm, from the end that is worked first. */
export interface Stretch {
  what: 'first end' | 'centre end' | 'facing' | 'piece' | 'spigot' | 'blade' | 'kerf' | 'held' | 'left over';
  from: number;
  to: number;
}

/**
 * A bar as it is divided (trade: Stock), stretch after stretch: from the bar the clean-up of its end, then each piece with
 * its facings and the blade behind it, then what must stay in the chuck; sawn, blank after blank with a kerf between. An
 * end for a centre and a spigot are part of their piece. A bar that is too long for the spindle is cut into lengths first, each divided by itself.
 * @param pieces how many of it are made, up to the pieces of a bar
 */
export function barLayout(run: Run, stock: Stock, pieces: number): Stretch[] {
  const { way, barLength, firstEnd, kerf, lengths, frontFacing, backFacing, blade, gripRemnant, jawClearance } = stock;
  const { centreEnd, spigot } = stock;
  const perLength = Math.ceil(stock.piecesPerBar.value / lengths);
  const each = lengthCut(stock);
  const stretches: Stretch[] = [];
  let at = 0;
  const take = (what: Stretch['what'], length: number, upTo = barLength) => {
    const to = Math.min(upTo, at + length);
    if (to > at + 1e-9) stretches.push({ what, from: at, to });
    at = to;
  };
  let left = pieces;
  for (let index = 0; index < lengths; index += 1) {
    if (index > 0) take('kerf', kerf);
    const end = index * (each + kerf) + each;
    const many = Math.min(left, perLength);
    left -= many;
    if (many > 0) take('first end', firstEnd);
    for (let piece = 0; piece < many; piece += 1) {
      if (way === 'sawn-blanks' && piece > 0) take('kerf', kerf, end);
      take('facing', frontFacing, end);
      take('centre end', centreEnd, end);
      take('piece', run.part.length, end);
      take('spigot', spigot, end);
      take('facing', backFacing, end);
      if (way === 'from-bar') take('blade', blade?.width ?? 0, end);
    }
    // The last blank is sawn off as well, unless the bar ends with it.
    if (way === 'sawn-blanks' && many > 0) take('kerf', kerf, end);
    const held = way === 'from-bar' && many > 0 ? gripRemnant.value + jawClearance : 0;
    const rest = end - at;
    take('left over', rest - Math.min(held, rest), end);
    take('held', held, end);
  }
  return stretches;
}

/** Pieces made of the last bar of the run. */
export const onLastBar = ({ toMake, piecesPerBar, bars }: Stock): number =>
  toMake.value - (bars.value - 1) * piecesPerBar.value;
