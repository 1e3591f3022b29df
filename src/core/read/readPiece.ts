import type { BarOnSale } from '../model/plan/stock';
import { good, refuse, type Result } from '../model/result';
import type { Part } from '../model/part/part';
import type { UnitSystem } from '../model/units/length';
import { say } from '../model/words';
import { clip, largestRadius } from '../model/workpiece/profile';
import { finishedPart, withBlanks } from '../model/workpiece/finishedPart';
import type { Segment } from '../model/workpiece/segment';
import { CLOSE } from '../model/tolerances';
import { readLength } from './fields';
import { readPart } from './readPart';
import type { PieceFile } from './runFile';

/** What a problem of the piece is about, in the run file: it is read as a part is. */
const inStock = (path: string) => path.replace(/^part\./, 'stock.');

const movedBy = (profile: readonly Segment[], by: number): Segment[] =>
  profile.map((segment) => ({ ...segment, z0: segment.z0 + by, z1: segment.z1 + by }));

/**
 * Reads a piece as it arrives: its outside, its holes and what is cut into it, z from the finished front face of the part.
 * @param facing what stands before that face where the file does not say, mm
 */
export function readPiece(
  entry: PieceFile,
  part: Part,
  { units, facing }: { units: UnitSystem; facing: number },
): Result<BarOnSale> {
  const { outside, bores = [], details = [], skin = false, grade } = entry;
  const read = readPart({ number: 'piece', material: '', outside, bores, details }, units);
  if (!read.ok)
    return { ok: false, problems: read.problems.map((problem) => ({ ...problem, path: inStock(problem.path) })) };
  const ahead = entry.ahead === undefined ? good(facing) : readLength(entry.ahead, units, 'stock.ahead');
  if (!ahead.ok) return ahead;
  if (ahead.value < 0) return refuse('stock.ahead', 'cannot be less than nothing');
  const { length } = read.value;
  const behind = length - ahead.value - part.length;
  if (behind < -CLOSE)
    return refuse(
      'stock.outside',
      `the piece is ${say(length, units)} long with ${say(ahead.value, units)} of it before the finished front face: ${say(Number((-behind).toFixed(3)), units)} are missing at the back`,
    );
  const metal = finishedPart(withBlanks(read.value));
  if ([...metal.outside, ...metal.bore].some(({ arc }) => arc))
    return refuse('stock.outside', 'a piece as it arrives is given in cylinders and cones');
  const [moved, bore] = [metal.outside, metal.bore].map((profile) => movedBy(profile, -ahead.value));
  return good({
    form: 'piece',
    condition: skin ? 'hot-rolled' : 'drawn',
    size: 2 * largestRadius(metal.outside, 0, length),
    bore: 2 * Math.min(...clip(metal.bore, 0, length).flatMap(({ r0, r1 }) => [r0, r1])),
    barLength: length,
    pricePerKilogram: 0,
    piece: {
      outside: moved ?? [],
      bore: bore ?? [],
      features: read.value.features.map((feature) => ({
        ...feature,
        z0: feature.z0 - ahead.value,
        z1: feature.z1 - ahead.value,
      })),
      ahead: ahead.value,
      behind: Math.max(0, behind),
      ...(grade ? { grade } : {}),
    },
  });
}
