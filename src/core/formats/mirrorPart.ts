import { andThen, good, type Result } from '../model/result';
import { faceOf } from '../read/lengths/faces';
import { fromFront } from '../read/readDetails';
import { entered } from '../read/readOutside';
import { readPart } from '../read/readPart';
import { MM_PER_INCH } from '../model/units/length';
import type { DetailFile, LengthFile, PartFile, RunFile, StepFile } from '../read/runFile';

const OTHER = { front: 'back', back: 'front' } as const;

function mirroredStep(step: StepFile): StepFile {
  const { from, to, rises, chamfers, ...rest } = step;
  return {
    ...rest,
    ...(to === undefined ? {} : { from: to }),
    ...(from === undefined ? {} : { to: from }),
    // An angle with one diameter says which way it widens; with two the diameters do.
    ...(rises
      ? { rises: OTHER[rises] }
      : step.shape === 'cone' && (from === undefined || to === undefined)
        ? { rises: 'front' as const }
        : {}),
    ...(chamfers
      ? {
          chamfers: {
            ...(chamfers.back === undefined ? {} : { front: chamfers.back }),
            ...(chamfers.front === undefined ? {} : { back: chamfers.front }),
          },
        }
      : {}),
  };
}

/** A length between the same two faces, each by its number from what is then the front. */
function mirroredLength(drawn: LengthFile, steps: StepFile[]): LengthFile {
  const turned = (name: string | number) => {
    const face = faceOf(name, steps) ?? 0;
    return face === 0 ? 'back' : face === steps.length ? 'front' : steps.length - face;
  };
  return { from: turned(drawn.to), to: turned(drawn.from), size: drawn.size };
}

/**
 * The part of a run turned end for end: its steps from the back, its details at their places from the other face, its
 * holes from the other end.
 * @returns the part, or what is in the way of reading where things are
 */
export const mirrorPart = ({ part, units }: Pick<RunFile, 'part' | 'units'>): Result<PartFile> =>
  andThen(readPart(part, units), (read) => {
    const { length, features } = read;
    const around = {
      units,
      general: part.generalTolerance ?? ('medium' as const),
      steps: entered(part.outside),
      edges: [0, ...read.steps.map(({ zTo }) => zTo)],
    };
    const inUnits = (mm: number) => Number((units === 'in' ? mm / MM_PER_INCH : mm).toFixed(6));
    const details = (part.details ?? []).map((entry, index): DetailFile => {
      const path = `part.details[${index}]`;
      const placed = fromFront(entry, path, around);
      const { detail, at: z = 0, place } = placed.ok ? placed.value : { detail: entry };
      const feature = features.find((candidate) => candidate.path === path);
      // What begins at its place ends there when it is turned; an edge, a vee and a form are where they are.
      const begins = feature && !['chamfer', 'radius', 'vee', 'hollow'].includes(feature.kind);
      const wide = begins ? feature.z1 - feature.z0 : 0;
      const from = inUnits(length - z - wide);
      // Limits stay as wide, and count from the other end.
      const limits: [number, number] | undefined =
        place?.size.from === 'limits' ? [inUnits(-place.size.upper), inUnits(-place.size.lower)] : undefined;
      return {
        ...detail,
        at: limits ? { size: from, limits } : from,
        ...(detail.side ? { side: OTHER[detail.side] } : {}),
      };
    });
    return good({
      ...part,
      outside: part.outside.map(mirroredStep).reverse(),
      ...(part.details ? { details } : {}),
      ...(part.lengths ? { lengths: part.lengths.map((drawn) => mirroredLength(drawn, part.outside)) } : {}),
      ...(part.bores ? { bores: part.bores.map((bore) => ({ ...bore, from: OTHER[bore.from] })) } : {}),
    });
  });
