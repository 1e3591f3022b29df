import { remnantOf, type CutList, type Pattern } from './cutList';
import type { Filling } from './firstFit';

/**
 * Fillings as patterns for the saw: exactly the pieces asked for, each under its own label, like patterns together. The
 * longest pieces come first on a bar; whole bars come before offcuts' leftovers in the list by how often they repeat.
 */
export function labelled(
  { bars, pieces, kerf }: CutList,
  lengths: readonly number[],
  fillings: readonly Filling[],
): Pattern[] {
  const waiting = lengths.map((length) =>
    pieces
      .filter((piece) => Math.abs(piece.length - length) < 5e-4)
      .map(({ label, count }) => ({ label, left: count })),
  );
  const patterns = new Map<string, Pattern>();
  for (const { bar, counts } of fillings) {
    const own = bars[bar];
    if (!own) continue;
    const cut = counts.flatMap((count, item) => {
      const taken: Pattern['pieces'] = [];
      let left = count;
      for (const queue of waiting[item] ?? []) {
        const many = Math.min(left, queue.left);
        if (many === 0) continue;
        queue.left -= many;
        left -= many;
        taken.push({ label: queue.label, length: lengths[item] ?? 0, count: many });
      }
      return taken;
    });
    if (cut.length === 0) continue;
    const sawn = cut.flatMap(({ length, count }) => Array.from({ length: count }, () => length));
    const key = JSON.stringify([bar, cut]);
    const known = patterns.get(key);
    if (known) known.times++;
    else
      patterns.set(key, {
        bar: own.label,
        barLength: own.length,
        times: 1,
        pieces: cut,
        remnant: Number(remnantOf(own, kerf, sawn).toFixed(3)),
      });
  }
  return [...patterns.values()].sort((a, b) => b.times - a.times || a.remnant - b.remnant);
}
