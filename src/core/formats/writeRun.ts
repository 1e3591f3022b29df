import { sizeObject } from '../part/size';
import type { RunFile } from './runFile';

/** A run file for other programs: the sizes that were typed as text in their object form, empty entries left out. */
export function exportedRun(file: RunFile): RunFile {
  const { part } = file;
  return {
    ...file,
    part: {
      ...part,
      outside: part.outside.map((step) => ({ ...step, diameter: sizeObject(step.diameter), length: sizeObject(step.length) })),
      ...(part.bores ? { bores: part.bores.map((bore) => ({ ...bore, diameter: sizeObject(bore.diameter) })) } : {}),
    },
  };
}
