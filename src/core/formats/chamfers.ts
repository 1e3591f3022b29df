import type { Part } from '../part/part';
import { readPart } from '../part/readPart';
import { MM_PER_INCH } from '../units/length';
import type { PartFile, RunFile, StepFile } from './runFile';

const stepIndex = (path: string) => Number(/^part\.outside\[(\d+)\]$/.exec(path)?.[1] ?? -1);

/**
 * A run file whose chamfers sit on their steps instead of at places, so that they follow when a length is edited. A part
 * that does not read stays as it is.
 */
export function chamfersOnSteps(file: RunFile): RunFile {
  const part = readPart(file.part, file.units);
  if (!part.ok || (file.part.details ?? []).length === 0) return file;
  const details = file.part.details ?? [];
  const outside = file.part.outside.map((step, index) => {
    const own = details.flatMap((detail, at) => {
      const chamfer = part.value.chamfers.find(({ path }) => path === `part.details[${at}]`);
      return chamfer && stepIndex(chamfer.step) === index ? [[chamfer.end, detail.size] as const] : [];
    });
    return own.length === 0 ? step : { ...step, chamfers: { ...step.chamfers, ...Object.fromEntries(own) } };
  });
  return { ...file, part: { ...file.part, outside, details: [] } };
}

function withoutChamfers(step: StepFile): StepFile {
  const plain = { ...step };
  delete plain.chamfers;
  return plain;
}

/** The other way round, for other programs: every chamfer as a detail with its place. */
export function chamfersAtPlaces(file: PartFile, part: Part, units: RunFile['units']): PartFile {
  const inUnits = (mm: number) => Number((units === 'in' ? mm / MM_PER_INCH : mm).toFixed(9));
  const details = part.chamfers.map(({ z, size, end }) => ({
    kind: 'chamfer' as const,
    at: inUnits(z),
    size: inUnits(size),
    side: end,
  }));
  return { ...file, outside: file.outside.map(withoutChamfers), details };
}
