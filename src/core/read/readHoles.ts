import type { Surroundings } from './featureKind';
import type { HoleFile } from './runFile';
import { refuse, type Result } from '../model/result';
import { boreKinds } from './bores';
import type { Feature } from '../model/part/feature';
import type { Hole } from '../model/part/part';

/** A hole of the run file: drilled, or a feature that another tool makes. */
export function readHole(entry: HoleFile, path: string, around: Surroundings): Result<Hole | Feature> {
  const kind = boreKinds.find((boreKind) => boreKind.kind === entry.shape);
  if (!kind) return refuse(`${path}.shape`, `“${entry.shape}” is not a shape of a hole`);
  return kind.read(entry, path, around);
}

/** Whether a hole is a drilled one. */
export const isDrilled = (hole: Hole | Feature): hole is Hole => 'depth' in hole;
