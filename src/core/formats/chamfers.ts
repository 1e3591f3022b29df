import type { Part } from '../model/part/part';
import { readPart } from '../read/readPart';
import { MM_PER_INCH } from '../model/units/length';
import type { DetailFile, PartFile, RunFile, StepFile } from '../read/runFile';

const stepIndex = (path: string) => Number(/^part\.outside\[(\d+)\]$/.exec(path)?.[1] ?? -1);

/**
 * A run file whose plain chamfers sit on their steps instead of at places, so that they follow when a length is edited;
 * every other detail stays. A part that does not read stays as it is.
 */
export function chamfersOnSteps(file: RunFile): RunFile {
  const part = readPart(file.part, file.units);
  const details = file.part.details ?? [];
  if (!part.ok || details.length === 0) return file;
  const onStep = (at: number) => part.value.chamfers.find(({ path }) => path === `part.details[${at}]`);
  const outside = file.part.outside.map((step, index) => {
    const moved = details.flatMap((detail, at) => {
      const chamfer = onStep(at);
      return detail.kind === 'chamfer' && chamfer && stepIndex(chamfer.step) === index
        ? [[chamfer.end, detail.size] as const]
        : [];
    });
    return moved.length === 0 ? step : { ...step, chamfers: { ...step.chamfers, ...Object.fromEntries(moved) } };
  });
  return { ...file, part: { ...file.part, outside, details: details.filter((_, at) => !onStep(at)) } };
}

function withoutChamfers(step: StepFile): StepFile {
  const plain = { ...step };
  delete plain.chamfers;
  return plain;
}

/** The other way round, for other programs: every chamfer as a detail with its place. */
export function chamfersAtPlaces(file: PartFile, part: Part, units: RunFile['units']): PartFile {
  const inUnits = (mm: number) => Number((units === 'in' ? mm / MM_PER_INCH : mm).toFixed(9));
  const onSteps = file.outside.flatMap(({ chamfers = {} }, index): DetailFile[] =>
    (['front', 'back'] as const).flatMap((side): DetailFile[] => {
      const [size, step] = [chamfers[side], part.steps[index]];
      if (size === undefined || String(size).trim() === '' || !step) return [];
      return [{ kind: 'chamfer', at: inUnits(side === 'front' ? step.zFrom : step.zTo), size, side }];
    }),
  );
  return { ...file, outside: file.outside.map(withoutChamfers), details: [...(file.details ?? []), ...onSteps] };
}
