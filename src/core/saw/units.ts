import { roomOf, takeOf, type CutList, type SawPiece, type Take } from './cutList';

/** A cut list in whole units, its pieces gathered by kind, the longest first. */
export interface Units {
  kinds: SawPiece[];
  demands: number[];
  /** Room of each kind of bar. */
  rooms: number[];
  /** What a kind takes, rounded up so that every filling really fits, and down so that the bound really bounds. */
  up: Take[];
  down: Take[];
}

/**
 * Whether the saw need not tell two pieces of a list apart: blanks of one length, to a thousandth. A turned piece is its
 * own kind, since runs do not share the length that is in the lathe.
 */
export const sameKind = (a: SawPiece, b: SawPiece): boolean =>
  a === b || (!a.turned && !b.turned && Math.abs(a.length - b.length) < 5e-4);

/** The most cells that a packing table may have; finer lengths are rounded. */
const CELLS = 40_000;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

const rounded = ({ each, start, perLength }: Take, by: number, round: (value: number) => number): Take => ({
  each: Math.max(1, round(each / by)),
  start: round(start / by),
  perLength,
});
const roundedUp = (take: Take, by: number) => rounded(take, by, (value) => Math.ceil(value - 1e-9));

/** Turns a list into whole units: thousandths of a millimetre, or as many of them as all lengths share. */
export function inUnits({ kerf, bars, pieces }: CutList): Units {
  const kinds = pieces
    .filter((piece, index) => pieces.findIndex((other) => sameKind(other, piece)) === index)
    .sort((a, b) => b.length - a.length);
  const micro = kinds.map((kind) => rounded(takeOf(kind, kerf), 0.001, Math.round));
  const rooms = bars.map((bar) => Math.floor(roomOf(bar, kerf) * 1000 + 1e-6));
  const common = micro.flatMap(({ each, start }) => [each, start]).reduce(gcd, 0) || 1;
  const largest = Math.max(...rooms);
  const unit = largest / common <= CELLS ? common : Math.ceil(largest / CELLS);
  return {
    kinds,
    demands: kinds.map((kind) => pieces.reduce((total, piece) => total + (sameKind(piece, kind) ? piece.count : 0), 0)),
    rooms: rooms.map((room) => Math.max(0, Math.floor(room / unit))),
    up: micro.map((take) => roundedUp(take, unit)),
    down: micro.map((take) => rounded(take, unit, (value) => Math.floor(value + 1e-9))),
  };
}

/** The same, coarser by a factor: quick to search, and whatever fits in it fits. */
export const coarser = ({ rooms, up }: Units, by: number): { rooms: number[]; up: Take[] } => ({
  rooms: rooms.map((room) => Math.floor(room / by)),
  up: up.map((take) => roundedUp(take, by)),
});
