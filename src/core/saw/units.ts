import { roomOf, type CutList } from './cutList';

/** A cut list in whole units, its pieces gathered by length, the longest first. */
export interface Units {
  lengths: number[];
  demands: number[];
  /** Room of each kind of bar. */
  rooms: number[];
  /** A length with its kerf, rounded up so that every filling really fits, and down so that the bound really bounds. */
  up: number[];
  down: number[];
}

/** The most cells that a packing table may have; finer lengths are rounded. */
const CELLS = 40_000;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Turns a list into whole units: thousandths of a millimetre, or as many of them as all lengths share. */
export function inUnits({ kerf, bars, pieces }: CutList): Units {
  const demandOf = new Map<number, number>();
  for (const { length, count } of pieces) {
    const key = Math.round(length * 1000) / 1000;
    demandOf.set(key, (demandOf.get(key) ?? 0) + count);
  }
  const lengths = [...demandOf.keys()].sort((a, b) => b - a);
  const micro = lengths.map((length) => Math.round((length + kerf) * 1000));
  const rooms = bars.map((bar) => Math.floor(roomOf(bar, kerf) * 1000 + 1e-6));
  const common = micro.reduce(gcd, 0) || 1;
  const largest = Math.max(...rooms);
  const unit = largest / common <= CELLS ? common : Math.ceil(largest / CELLS);
  return {
    lengths,
    demands: lengths.map((length) => demandOf.get(length) ?? 0),
    rooms: rooms.map((room) => Math.max(0, Math.floor(room / unit))),
    up: micro.map((weight) => Math.ceil(weight / unit - 1e-9)),
    down: micro.map((weight) => Math.max(1, Math.floor(weight / unit + 1e-9))),
  };
}

/** The same, coarser by a factor: quick to search, and whatever fits in it fits. */
export const coarser = ({ rooms, up }: Units, by: number): { rooms: number[]; up: number[] } => ({
  rooms: rooms.map((room) => Math.floor(room / by)),
  up: up.map((weight) => Math.ceil(weight / by)),
});
