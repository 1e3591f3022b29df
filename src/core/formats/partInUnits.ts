import { sizeObject, type LengthEntry, type SizeEntry } from '../model/part/size';
import type { UnitSystem } from '../model/units/length';
import { withEachLength, type WithLengths } from './eachLength';

/** A length that names its unit: of a plain figure the one it was meant in. */
function named(entry: LengthEntry, units: UnitSystem): LengthEntry {
  const text = String(entry).trim();
  // Letters and inch marks are units, or words such as “through”; neither needs one.
  return text === '' || /[a-z"″]/i.test(text) ? entry : `${text} ${units}`;
}

function namedSize(entry: SizeEntry, units: UnitSystem): SizeEntry {
  const parts = sizeObject(entry);
  if (typeof parts !== 'object') return named(parts, units);
  const { size, limits, ...rest } = parts;
  return {
    ...rest,
    size: named(size, units),
    ...(limits ? { limits: [named(limits[0], units), named(limits[1], units)] } : {}),
  };
}

/**
 * A part written in one system of units for a run that counts in another: every length then names its unit, so that it
 * means what it meant. Figures are not converted; `20` of a part in mm becomes `20 mm`.
 */
export const partInUnits = <P extends WithLengths>(part: P, from: UnitSystem, to: UnitSystem): P =>
  from === to ? part : withEachLength(part, (entry) => namedSize(entry, from) as typeof entry);
