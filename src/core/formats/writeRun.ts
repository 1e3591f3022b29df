import { kindOfEntry } from '../read/entryKinds';
import type { Field } from '../read/fields';
import { LENGTH_FIELDS } from '../read/lengths/drawnLengths';
import { readPart } from '../read/readPart';
import { sizeObject, type SizeEntry } from '../model/part/size';
import { chamfersAtPlaces } from './chamfers';
import type { RunFile } from '../read/runFile';

/** An entry with its sizes in their object form, and without the fields that were left empty. */
function written<Entry extends object>(entry: Entry, fields: readonly Field[] = []): Entry {
  const sizes = fields.filter(({ takes }) => takes === 'size' || takes === 'place').map(({ key }) => key);
  return Object.fromEntries(
    Object.entries(entry).flatMap(([key, value]: [string, SizeEntry | undefined]) => {
      if (value === undefined) return [];
      if (value === '' && !fields.some((field) => field.key === key && field.needed)) return [];
      return [[key, sizes.includes(key) ? sizeObject(value) : value]];
    }),
  ) as Entry;
}

/**
 * A run file for other programs: sizes that were typed as text in their object form, chamfers at their places. What
 * cannot be read yet is written as it was typed.
 */
export function exportedRun(file: RunFile): RunFile {
  const part = readPart(file.part, file.units);
  const placed = part.ok ? chamfersAtPlaces(file.part, part.value, file.units) : file.part;
  const { outside, details, bores, lengths, elsewhere } = placed;
  return {
    ...file,
    part: {
      ...placed,
      outside: outside.map((step) => written(step, kindOfEntry('outside', step)?.fields)),
      ...(details ? { details: details.map((detail) => written(detail, kindOfEntry('details', detail)?.fields)) } : {}),
      ...(lengths ? { lengths: lengths.map((drawn) => written(drawn, LENGTH_FIELDS)) } : {}),
      ...(elsewhere
        ? {
            elsewhere: elsewhere.map((elsewhereFile) =>
              written(elsewhereFile, kindOfEntry('elsewhere', elsewhereFile)?.fields),
            ),
          }
        : {}),
      ...(bores ? { bores: bores.map((bore) => written(bore, kindOfEntry('bores', bore)?.fields)) } : {}),
    },
  };
}
