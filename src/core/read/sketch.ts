import type { PartFile, StepFile } from './runFile';
import { byKeys } from './byKeys';
import { MM_PER_INCH, type UnitSystem } from '../model/units/length';
import type { Part } from '../model/part/part';
import { isSize, readSize, type Size } from '../model/part/size';
import { chainedLengths } from './readOutside';
import { readPart } from './readPart';

/** What a figure of a step reads as, in the units of the file; undefined where it does not. */
function numberAt(step: StepFile, key: string, units: UnitSystem): number | undefined {
  const entry = byKeys(step)[key];
  const size = isSize(entry) ? readSize(entry, { units, general: 'medium', path: '' }) : undefined;
  return size?.ok ? size.value.nominal / (units === 'in' ? MM_PER_INCH : 1) : undefined;
}

/** Any diameter of a step: of a cone the larger. */
const widthOf = (step: StepFile, units: UnitSystem): number | undefined => {
  const all = ['diameter', 'across', 'from', 'to'].flatMap((key) => numberAt(step, key, units) ?? []);
  return all.length > 0 ? Math.max(...all) : undefined;
};

/**
 * A part in which one wrong figure of a step stands for something that can be drawn: as wide as its neighbour, as long as the mean of
 * the others. Only where something was typed, and where more of the part follows: what waits at the end has no place yet.
 */
function withStandIn(file: PartFile, index: number, key: string, units: UnitSystem): PartFile | undefined {
  const step = file.outside[index];
  const typed = step && byKeys(step)[key];
  const isLast = file.outside.slice(index + 1).every((one) => widthOf(one, units) === undefined);
  if (!step || (isLast && (typed === undefined || String(typed).trim() === ''))) return undefined;
  const others = file.outside.filter((_, at) => at !== index);
  const lengths = others.flatMap((one) => numberAt(one, 'length', units) ?? []);
  const beside = [file.outside[index - 1], file.outside[index + 1], ...others];
  const stands =
    key === 'length'
      ? lengths.reduce((sum, length) => sum + length, 0) / lengths.length
      : beside.map((one) => one && widthOf(one, units)).find((width) => width !== undefined);
  // What stands in for it was no better.
  if (stands === undefined || !(stands > 0) || typed === stands) return undefined;
  return { ...file, outside: file.outside.with(index, { ...step, [key]: stands } as StepFile) };
}

/** An entry without the one thing that a problem names, or undefined when the problem is not about an entry. */
function without(file: PartFile, path: string, units: UnitSystem): PartFile | undefined {
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
  const figure = /^part\.outside\[(\d+)\]\.(diameter|across|length|from|to)$/.exec(path);
  if (figure?.[2]) {
    const stood = withStandIn(file, Number(figure[1]), figure[2], units);
    if (stood) return stood;
  }
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
 * As much of a part as can be drawn while it is being entered: one wrong figure leaves the rest drawn, a step that says nothing yet
 * ends it, with the chamfers and holes that fit.
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
    rest = without(rest, part.problems[0]?.path ?? '', units);
  }
  return undefined;
}
