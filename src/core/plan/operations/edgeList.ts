import type { Edge } from '../../model/workpiece/edges';
import { turnRound } from '../../model/part/part';
import type { Run } from '../../model/run';
import type { Operation } from '../../model/plan/operation';
import { sharpEdges } from './deburr';
import type { Setup } from '../../model/plan/setup';
import { CLOSE } from '../../model/tolerances';

/** An edge that no chamfer of the drawing breaks, in the z of the drawing, and the number of the operation that does. */
export interface ListedEdge extends Edge {
  brokenBy: number | undefined;
}

/** The deburr list (trade: Shop arithmetic): every sharp edge of the part with what breaks it; inside, a hand gets at mouths only. */
export function listEdges(
  { shop }: Run,
  setups: readonly { setup: Setup; operations: readonly (Operation & { number: number })[] }[],
): ListedEdge[] {
  // As the lathe leaves it, which is where its operations have their edges.
  const first = setups[0]?.setup;
  if (!first) return [];
  const part = first.end === 'front' ? first.part : turnRound(first.part);
  const broken = setups.flatMap(({ setup, operations }) =>
    operations.flatMap(({ number, breaks = [] }) =>
      breaks.map(({ z, ...edge }) => ({ ...edge, number, z: setup.end === 'front' ? z : part.length - z })),
    ),
  );
  return sharpEdges(part, shop.cutting.sharpFrom).map((edge) => ({
    ...edge,
    brokenBy: broken.find(
      ({ z, r, inside }) => inside === edge.inside && Math.abs(z - edge.z) < CLOSE && Math.abs(r - edge.r) < CLOSE,
    )?.number,
  }));
}
