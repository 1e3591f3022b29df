import type { CutOperation } from './cutOperation';
import { remove, type Workpiece } from '../../model/workpiece/workpiece';

/** The work after the first passes of an operation; the last pass leaves what the operation leaves. */
export function workAfterPass(
  { before, after, removal, passes }: Pick<CutOperation, 'before' | 'after' | 'removal' | 'passes'>,
  passIndex: number,
): Workpiece {
  const pass = passes[passIndex];
  if (!pass || passIndex >= passes.length - 1) return after;
  if (pass.leaves)
    return passes.slice(0, passIndex + 1).reduce((work, { leaves }) => (leaves ? remove(work, leaves) : work), before);
  if (pass.diameter !== undefined && removal.outside) {
    const radius = pass.diameter / 2;
    return remove(before, { outside: removal.outside.map((segment) => ({ ...segment, r0: radius, r1: radius })) });
  }
  return pass.z !== undefined && removal.faceAt !== undefined ? remove(before, { faceAt: pass.z }) : after;
}
