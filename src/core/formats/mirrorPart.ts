import { andThen, good, type Result } from '../model/result';
import { faceOf } from '../read/lengths/faces';
import { placeFromFront } from '../read/readDetails';
import { entered } from '../read/readOutside';
import { readPart } from '../read/readPart';
import type { SizeEntry } from '../model/part/size';
import { MM_PER_INCH } from '../model/units/length';
import type { DetailFile, LengthFile, PartFile, RunFile, StepFile } from '../read/runFile';

const OTHER = { front: 'back', back: 'front' } as const;

function mirroredStep(step: StepFile): StepFile {
  const { chamfers } = step;
  const turned = chamfers
    ? {
        ...step,
        chamfers: {
          ...(chamfers.back === undefined ? {} : { front: chamfers.back }),
          ...(chamfers.front === undefined ? {} : { back: chamfers.front }),
        },
      }
    : step;
  if (turned.shape !== 'cone') return turned;
  const { from, to, rises, ...cone } = turned;
  return {
    ...cone,
    ...(to === undefined ? {} : { from: to }),
    ...(from === undefined ? {} : { to: from }),
    // An angle with one diameter says which way it widens; with two the diameters do.
    ...(rises ? { rises: OTHER[rises] } : from === undefined || to === undefined ? { rises: 'front' } : {}),
  };
}

/** A detail with its place from the other face, and what faces one end facing the other. */
function mirroredDetail(entry: DetailFile, place: () => SizeEntry): DetailFile {
  if (entry.kind === 'face-groove') return { ...entry, face: OTHER[entry.face] };
  const turned = { ...entry, at: place() };
  delete turned.datum;
  return turned.kind === 'chamfer' && turned.side ? { ...turned, side: OTHER[turned.side] } : turned;
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
      return mirroredDetail(entry, () => {
        const placed = placeFromFront(entry, path, around);
        const place = placed.ok ? placed.value : undefined;
        const feature = features.find((candidate) => candidate.path === path);
        // What begins at its place ends there when it is turned; an edge, a vee and a form are where they are.
        const begins = feature && !['chamfer', 'radius', 'vee', 'hollow'].includes(feature.kind);
        const wide = begins ? feature.z1 - feature.z0 : 0;
        const from = inUnits(length - (place?.at.nominal ?? 0) - wide);
        // Limits stay as wide, and count from the other end.
        const size = place?.drawn.size;
        return size?.from === 'limits' ? { size: from, limits: [inUnits(-size.upper), inUnits(-size.lower)] } : from;
      });
    });
    return good({
      ...part,
      outside: part.outside.map(mirroredStep).reverse(),
      ...(part.details ? { details } : {}),
      ...(part.lengths ? { lengths: part.lengths.map((drawn) => mirroredLength(drawn, part.outside)) } : {}),
      ...(part.bores ? { bores: part.bores.map((bore) => ({ ...bore, from: OTHER[bore.from] })) } : {}),
    });
  });
