import { andThen, good, type Result } from '../result';
import { readPart } from '../part/readPart';
import { MM_PER_INCH, parseLength } from '../units/length';
import type { DetailFile, PartFile, RunFile, StepFile } from './runFile';

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

/**
 * The part of a run turned end for end: its steps from the back, its details at their places from the other face, its
 * holes from the other end.
 * @returns the part, or what is in the way of reading where things are
 */
export const mirrorPart = ({ part, units }: Pick<RunFile, 'part' | 'units'>): Result<PartFile> =>
  andThen(readPart(part, units), ({ length, features }) => {
    const inUnits = (mm: number) => Number((units === 'in' ? mm / MM_PER_INCH : mm).toFixed(6));
    const details = (part.details ?? []).map((detail, index): DetailFile => {
      const path = `part.details[${index}]`;
      const at = parseLength(detail.at, units);
      const z = at.ok ? at.value : 0;
      const feature = features.find((own) => own.path === path);
      // What begins at its place ends there when it is turned; an edge, a vee and a form are where they are.
      const begins = feature && !['chamfer', 'radius', 'vee', 'hollow'].includes(feature.kind);
      const wide = begins ? feature.z1 - feature.z0 : 0;
      return { ...detail, at: inUnits(length - z - wide), ...(detail.side ? { side: OTHER[detail.side] } : {}) };
    });
    return good({
      ...part,
      outside: part.outside.map(mirroredStep).reverse(),
      ...(part.details ? { details } : {}),
      ...(part.bores ? { bores: part.bores.map((bore) => ({ ...bore, from: OTHER[bore.from] })) } : {}),
    });
  });
