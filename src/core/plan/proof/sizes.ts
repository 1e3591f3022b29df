import type { Part } from '../../model/part/part';
import type { Proof, WorstSize } from './faults';
import { highAt, lowAt, type Section } from './section/section';

/** Reads every drawn diameter off the finished piece, in the middle of its step or hole, and how near it comes to a limit. */
export function readSizes(piece: Section, { steps, holes, length }: Part): Pick<Proof, 'segments' | 'worst'> {
  const under = (z: number) => piece.find(({ z0, z1 }) => z0 <= z && z <= z1);
  const drawn = [
    ...steps.map(({ path, diameter, zFrom, zTo }) => ({ path, size: diameter, z: (zFrom + zTo) / 2, inside: false })),
    ...holes.map(({ path, diameter, depth, from }) => ({
      path,
      size: diameter,
      z: from === 'front' ? depth / 2 : length - depth / 2,
      inside: true,
    })),
  ];
  const read = drawn.flatMap(({ path, size, z, inside }): WorstSize[] => {
    const slab = under(z);
    if (!slab) return [];
    const is = 2 * (inside ? lowAt(slab, z) : highAt(slab, z));
    const left = Math.min(size.nominal + size.upper - is, is - size.nominal - size.lower);
    // A detail on it, or a wider hole, is another size.
    return left < 0 ? [] : [{ path, size: is, left }];
  });
  const worst = read.reduce<WorstSize | undefined>(
    (least, size) => (least && least.left <= size.left ? least : size),
    undefined,
  );
  return { segments: read.length, ...(worst ? { worst } : {}) };
}
