import { readSize, sizeObject, type SizeEntry } from '../model/part/size';
import { MM_PER_INCH } from '../model/units/length';
import type { PartFile, StepFile } from '../read/runFile';
import type { UnitSystem } from '../model/units/length';

/** A size made longer by so much, mm, with the tolerance it had; undefined when nothing would be left or it cannot be read. */
function longer(entry: SizeEntry | undefined, by: number, units: UnitSystem): SizeEntry | undefined {
  if (entry === undefined) return undefined;
  const size = readSize(entry, { units, general: 'medium', path: '' });
  if (!size.ok || size.value.nominal + by < 0.05) return undefined;
  const parts = sizeObject(entry);
  const mm = size.value.nominal + by;
  const nominal = Number((units === 'in' ? mm / MM_PER_INCH : mm).toFixed(units === 'in' ? 4 : 3));
  return typeof parts === 'object' ? { ...parts, size: nominal } : nominal;
}

/**
 * The steps after a shoulder was moved by so much, mm, towards the back: the step before it grows and the one behind it
 * gives as much, so that everything else stays where it is. The last shoulder is the back face: the part gets longer.
 * @returns undefined when a step would be gone, or its length is not a figure yet
 */
export function movedShoulder(
  { outside }: Pick<PartFile, 'outside'>,
  index: number,
  by: number,
  units: UnitSystem,
): StepFile[] | undefined {
  const [before, behind] = [outside[index], outside[index + 1]];
  const length = longer(before?.length, by, units);
  if (!before || length === undefined) return undefined;
  if (!behind) return outside.map((step, at) => (at === index ? { ...step, length } : step));
  const given = longer(behind.length, -by, units);
  if (given === undefined) return undefined;
  return outside.map((step, at) =>
    at === index ? { ...step, length } : at === index + 1 ? { ...step, length: given } : step,
  );
}
