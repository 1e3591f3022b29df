import { KIND_KEY, kindOfEntry, type EntryListName } from '../read/entryKinds';
import type { Field } from '../read/fields';
import { isSize, sizeObject, type LengthEntry, type SizeEntry } from '../model/part/size';
import type { UnitSystem } from '../model/units/length';
import type { DetailFile, ElsewhereFile, HoleFile, PartFile, StepFile } from '../read/runFile';

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

function inWords({ takes }: Field, value: unknown, units: UnitSystem): unknown {
  const isLong = takes === 'size' || takes === 'place' || takes === 'depth' || takes === 'length';
  return isLong && isSize(value) ? namedSize(value, units) : value;
}

function entryInUnits<E extends StepFile | DetailFile | HoleFile | ElsewhereFile>(
  list: EntryListName,
  entry: E,
  units: UnitSystem,
): E {
  const kind = kindOfEntry(list, entry);
  const fields = Object.entries(entry).map(([key, value]: [string, unknown]) => {
    const field = key === KIND_KEY[list] ? undefined : kind?.fields.find((known) => known.key === key);
    if (key === 'chamfers')
      return [
        key,
        Object.fromEntries(
          Object.entries(value as Record<string, LengthEntry>).map(([side, leg]) => [side, named(leg, units)]),
        ),
      ];
    return [key, field && value !== undefined ? inWords(field, value, units) : value];
  });
  return Object.fromEntries(fields) as E;
}

/**
 * A part written in one system of units for a run that counts in another: every length then names its unit, so that it
 * means what it meant. Figures are not converted; `20` of a part in mm becomes `20 mm`.
 */
export function partInUnits<
  P extends Pick<PartFile, 'outside' | 'details' | 'bores' | 'lengths' | 'runout' | 'elsewhere'>,
>(part: P, from: UnitSystem, to: UnitSystem): P {
  if (from === to) return part;
  return {
    ...part,
    outside: part.outside.map((step) => entryInUnits('outside', step, from)),
    ...(part.details ? { details: part.details.map((detail) => entryInUnits('details', detail, from)) } : {}),
    ...(part.bores ? { bores: part.bores.map((bore) => entryInUnits('bores', bore, from)) } : {}),
    ...(part.elsewhere
      ? { elsewhere: part.elsewhere.map((elsewhere) => entryInUnits('elsewhere', elsewhere, from)) }
      : {}),
    ...(part.lengths
      ? { lengths: part.lengths.map((drawn) => ({ ...drawn, size: namedSize(drawn.size, from) })) }
      : {}),
    ...(part.runout ? { runout: part.runout.map((tie) => ({ ...tie, limit: named(tie.limit, from) })) } : {}),
  };
}
