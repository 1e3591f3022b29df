import { readPart } from '../part/readPart';
import { sizeObject } from '../part/size';
import { chamfersAtPlaces } from './chamfers';
import type { RunFile } from './runFile';

/**
 * A run file for other programs: sizes that were typed as text in their object form, chamfers at their places. What
 * cannot be read yet is written as it was typed.
 */
export function exportedRun(file: RunFile): RunFile {
  const part = readPart(file.part, file.units);
  const placed = part.ok ? chamfersAtPlaces(file.part, part.value, file.units) : file.part;
  return {
    ...file,
    part: {
      ...placed,
      outside: placed.outside.map((step) => ({
        ...step,
        diameter: sizeObject(step.diameter),
        length: sizeObject(step.length),
      })),
      ...(placed.bores
        ? { bores: placed.bores.map((bore) => ({ ...bore, diameter: sizeObject(bore.diameter) })) }
        : {}),
    },
  };
}
