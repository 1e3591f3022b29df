import type { PartFile } from './runFile';
import type { UnitSystem } from '../model/units/length';
import type { Part } from '../model/part/part';
import type { Size } from '../model/part/size';
import { chainedLengths } from './readOutside';
import { readPart } from './readPart';

/** An entry without the one thing that a problem names, or undefined when the problem is not about an entry. */
function without(file: PartFile, path: string): PartFile | undefined {
  const ofStep = /^part\.outside\[(\d+)\]\.(chamfers|roughness)/.exec(path);
  if (ofStep)
    return {
      ...file,
      outside: file.outside.map(({ chamfers, roughness, ...step }, index) => ({
        ...step,
        ...(chamfers && (index !== Number(ofStep[1]) || ofStep[2] !== 'chamfers') ? { chamfers } : {}),
        ...(roughness !== undefined && (index !== Number(ofStep[1]) || ofStep[2] !== 'roughness') ? { roughness } : {}),
      })),
    };
  const entry = /^part\.(outside|details|bores|lengths|elsewhere)\[(\d+)\]/.exec(path);
  if (!entry) return undefined;
  const index = Number(entry[2]);
  // A step that cannot be read ends the drawing there: what follows has no place yet.
  if (entry[1] === 'outside') return { ...file, outside: file.outside.slice(0, index) };
  if (entry[1] === 'details') return { ...file, details: (file.details ?? []).filter((_, at) => at !== index) };
  if (entry[1] === 'elsewhere') return { ...file, elsewhere: [] };
  if (entry[1] === 'lengths') return { ...file, lengths: (file.lengths ?? []).filter((_, at) => at !== index) };
  return { ...file, bores: (file.bores ?? []).filter((_, at) => at !== index) };
}

/**
 * As much of a part as can be drawn while it is being entered: its steps up to the first that cannot be read, with the
 * chamfers and holes that fit.
 * @returns undefined when there is nothing to draw
 */
export function sketchPart(file: PartFile, units: UnitSystem): Part | undefined {
  let rest: PartFile | undefined = file;
  let chained: ReadonlyMap<number, Size> | undefined;
  while (rest && rest.outside.length > 0) {
    const part = readPart(rest, units, chained);
    if (part.ok) return part.value;
    // Lengths from chains are taken down first: a step that goes must not take the others' lengths with it.
    const { lengths = [], generalTolerance = 'medium' }: PartFile = rest;
    const followed =
      lengths.length > 0 ? chainedLengths(rest.outside, lengths, { units, general: generalTolerance }) : undefined;
    if (followed) [rest, chained] = [{ ...rest, lengths: [] }, followed];
    rest = without(rest, part.problems[0]?.path ?? '');
  }
  return undefined;
}
