import { sayFigure } from '../../model/units/mark';
import type { Lines } from '../../read/lines';
import { TINY } from './edge';
import { figure, GAP, type Piece } from './profile';

/** An entry by its fields, as the file has it. */
type Entry = Record<string, string | number>;
type End = 'front' | 'back';

const isLevel = ({ r0, r1, arc }: Piece): boolean => !arc && Math.abs(r0 - r1) < TINY;

/** Pieces that follow one another without a gap. */
function chainsOf(inner: readonly Piece[]): Piece[][] {
  const chains: Piece[][] = [];
  for (const piece of [...inner].sort((a, b) => a.z0 - b.z0)) {
    const last = chains.at(-1)?.at(-1);
    if (last && Math.abs(piece.z0 - last.z1) <= GAP) chains.at(-1)?.push(piece);
    else chains.push([piece]);
  }
  return chains;
}

/** The same pieces as they are met from the back, z from there. */
const fromBack = (pieces: readonly Piece[], length: number): Piece[] =>
  [...pieces]
    .reverse()
    .map((piece) => ({ ...piece, z0: length - piece.z1, z1: length - piece.z0, r0: piece.r1, r1: piece.r0 }));

const included = ({ z0, z1, r0, r1 }: Piece): number => figure((Math.atan2(r0 - r1, z1 - z0) * 360) / Math.PI);

/**
 * The entries of a bore as it is met from one end: holes, each as deep as it goes; grooves in them; a conical mouth. What is none of
 * these is counted.
 * @param pieces z from that end @param beyond the radius that goes on behind them, mm; nothing where the bore ends
 */
function met(pieces: readonly Piece[], from: End, beyond: number | undefined): { entries: Entry[]; strange: number } {
  const entries: Entry[] = [];
  let strange = 0;
  pieces.forEach((piece, index) => {
    const { z0, z1, r0, r1, arc } = piece;
    const before = pieces[index - 1];
    const after = pieces[index + 1]?.r0 ?? beyond;
    const diameter = figure(2 * r0);
    const same = entries.find((entry) => entry['diameter'] === diameter);
    if (isLevel(piece)) {
      const isGroove = before !== undefined && r0 > before.r1 + TINY && r0 > (after ?? Infinity) + TINY;
      if (isGroove) entries.push({ from, shape: 'groove', at: figure(z0), width: figure(z1 - z0), bottom: diameter });
      else if (same) same['depth'] = figure(z1);
      else entries.push({ from, shape: 'bore', diameter, depth: figure(z1) });
      return;
    }
    // The point that a drill leaves.
    if (!arc && r1 < TINY && before && isLevel(before) && same) {
      same['shape'] = 'drill';
      return;
    }
    if (!arc && r0 > r1 && !before && after !== undefined && Math.abs(after - r1) < TINY)
      entries.push({ from, shape: 'countersink', mouth: diameter, included: included(piece) });
    else if (!arc && r0 > r1 && r1 > TINY && !before && after === undefined)
      entries.push({ from, shape: 'cone', small: figure(2 * r1), depth: figure(z1), included: included(piece) });
    else strange += 1;
  });
  return { entries, strange };
}

/** The lines of the bore as holes from the ends; what is not understood is told. */
export function holesOf(inner: readonly Piece[], length: number, told: string[]): Lines['bores'] {
  let strange = 0;
  const holes = chainsOf(inner).flatMap((chain): Entry[] => {
    const [first, last] = [chain[0] as Piece, chain.at(-1) as Piece];
    const [atFront, atBack] = [first.z0 < GAP, last.z1 > length - GAP];
    const take = (pieces: readonly Piece[], from: End, beyond?: number): Entry[] => {
      const found = met(from === 'front' ? pieces : fromBack(pieces, length), from, beyond);
      strange += found.strange;
      return found.entries;
    };
    if (!atFront && !atBack) {
      const level = chain.find(isLevel);
      if (level)
        told.push(
          `the bore of ${sayFigure(figure(2 * level.r0))} from ${sayFigure(figure(first.z0))} to ${sayFigure(figure(last.z1))} reaches neither end and is left out`,
        );
      else strange += chain.length;
      return [];
    }
    if (!(atFront && atBack)) return take(chain, atFront ? 'front' : 'back');
    // Right through: what is narrowest goes all the way, and each end is met down to it.
    const narrowest = chain.reduce(
      (best, piece, index) => (isLevel(piece) && piece.r0 < (chain[best]?.r0 ?? Infinity) - TINY ? index : best),
      chain.findIndex(isLevel),
    );
    const through = chain[narrowest];
    if (!through) {
      strange += chain.length;
      return [];
    }
    return [
      { from: 'front', shape: 'drill', diameter: figure(2 * through.r0), depth: 'through' },
      ...take(chain.slice(0, narrowest), 'front', through.r0),
      ...take(chain.slice(narrowest + 1), 'back', through.r0),
    ];
  });
  if (strange > 0)
    told.push(`${strange} lines inside the outline are no hole, groove or conical mouth: they are to be given by hand`);
  return holes as unknown as Lines['bores'];
}
