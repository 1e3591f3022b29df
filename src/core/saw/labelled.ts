import { taken, takeOf, type CutList, type Pattern, type SawPiece, type SawnPieces, type Turned } from './cutList';
import type { Filling } from './firstFit';
import { sameKind } from './units';

const toMicron = (length: number): number => Number(length.toFixed(3));

/** The lengths to saw for so many turned pieces: as many of the longest as they fill, and one for the rest. */
function lengthsFor(length: number, turned: Turned, count: number): NonNullable<SawnPieces['from']> {
  const { perLength } = takeOf({ length, turned }, 0);
  const whole = Math.floor(count / perLength);
  return [
    { pieces: perLength, times: whole },
    { pieces: count - whole * perLength, times: 1 },
  ]
    .filter(({ pieces, times }) => pieces > 0 && times > 0)
    .map(({ pieces, times }) => ({ length: toMicron(turned.lost + pieces * length), pieces, times }));
}

/**
 * Fillings as patterns for the saw: exactly the pieces asked for, each under its own label, like patterns together. The
 * longest pieces come first on a bar; whole bars come before offcuts' leftovers in the list by how often they repeat.
 */
export function labelled(
  { bars, pieces, kerf }: CutList,
  kinds: readonly SawPiece[],
  fillings: readonly Filling[],
): Pattern[] {
  const waiting = kinds.map((kind) =>
    pieces.filter((piece) => sameKind(piece, kind)).map(({ label, count }) => ({ label, left: count })),
  );
  const patterns = new Map<string, Pattern>();
  for (const { bar, counts } of fillings) {
    const sawBar = bars[bar];
    if (!sawBar) continue;
    let room = sawBar.length - sawBar.endWaste;
    const cut = kinds.flatMap((kind, item) => {
      const sawn: SawnPieces[] = [];
      let left = counts[item] ?? 0;
      for (const queue of waiting[item] ?? []) {
        const count = Math.min(left, queue.left);
        if (count === 0) continue;
        queue.left -= count;
        left -= count;
        room -= taken(takeOf(kind, kerf), count);
        const { length, turned } = kind;
        sawn.push({ label: queue.label, length, count, ...(turned && { from: lengthsFor(length, turned, count) }) });
      }
      return sawn;
    });
    if (cut.length === 0) continue;
    const key = JSON.stringify([bar, cut]);
    const known = patterns.get(key);
    if (known) known.times++;
    else
      patterns.set(key, {
        bar: sawBar.label,
        barLength: sawBar.length,
        times: 1,
        pieces: cut,
        remnant: toMicron(Math.max(0, room)),
      });
  }
  return [...patterns.values()].sort((a, b) => b.times - a.times || a.remnant - b.remnant);
}
