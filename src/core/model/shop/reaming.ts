import type { Size } from '../part/size';
import { standardTolerance } from '../part/tolerance';
import { CLOSE } from '../tolerances';
import type { CuttingValues } from './values';

/** The entry of a table by the size that it is up to; what is larger than all goes by the last. */
function upTo(table: Record<string, number>, nominal: number): number {
  const sizes = Object.keys(table)
    .map(Number)
    .toSorted((a, b) => a - b);
  return table[sizes.find((size) => nominal <= size + 1e-9) ?? sizes.at(-1) ?? 0] ?? 0;
}

/**
 * What a reamer is left on the diameter, mm, at least and at most (trade: Cutting): less, and a drill that cuts oversize
 * leaves it nothing; more, and it chatters and wears.
 * @param nominal size of the reamer, mm
 */
export const leftToReam = (
  nominal: number,
  { reamLeast, reamMost }: Pick<CuttingValues, 'reamLeast' | 'reamMost'>,
): { least: number; most: number } => ({ least: upTo(reamLeast, nominal), most: upTo(reamMost, nominal) });

/** Reamers as sold make an H of this grade. */
const REAMED_TO = 7;

/** Whether a reamer of a size makes it within its limits: the middle of what it makes lies between them. */
export function makesWithReamer({ nominal, lower, upper }: Size): boolean {
  const made = (standardTolerance(REAMED_TO, nominal) ?? 0) / 2;
  return made >= lower - CLOSE && made <= upper + CLOSE;
}
