import type { Surroundings } from './featureKind';
import type { HoleFile } from './runFile';
import { andThen, good, refuse, type Result } from '../model/result';
import { boreKinds } from './bores';
import type { Feature } from '../model/part/feature';
import type { Hole } from '../model/part/part';

/** A hole of the run file: drilled, or a feature that another tool makes. One that says why it is critical is so. */
export function readHole(entry: HoleFile, path: string, around: Surroundings): Result<Hole | Feature> {
  const kind = boreKinds.find((boreKind) => boreKind.kind === entry.shape);
  if (!kind) return refuse(`${path}.shape`, `“${entry.shape}” is not a shape of a hole`);
  const { critical = false, why = '' } = entry as { critical?: boolean; why?: string };
  const reason = why.trim();
  if (!critical && reason === '') return kind.read(entry, path, around);
  return andThen(kind.read(entry, path, around) as Result<Hole | Feature>, (hole) =>
    good({ ...hole, critical: true as const, ...(reason === '' ? {} : { why: reason }) }),
  );
}

/** Whether a hole is a drilled one. */
export const isDrilled = (hole: Hole | Feature): hole is Hole => 'depth' in hole;
