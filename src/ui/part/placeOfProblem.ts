import type { RunFile } from '@/core/read/runFile';
import { countedFrom, faceOf } from '@/core/read/lengths/faces';
import type { Part } from '@/core/model/part/part';
import { readPlace } from '@/core/model/part/size';

/**
 * Where on the drawing an entry stands that cannot be read, z of the sketch in mm: in its step, at the place of a
 * detail, at the face that a hole goes in. A step that is not drawn yet is where the drawing ends.
 * @returns undefined for what has no place: a name, the part as a whole
 */
export function placeOfProblem(path: string, { part, units }: RunFile, sketch: Part): number | undefined {
  const match = /^part\.(outside|details|bores|lengths)\[(\d+)\]/.exec(path);
  const index = Number(match?.[2]);
  const edges = [0, ...sketch.steps.map(({ zTo }) => zTo)];
  const within = (z: number) => Math.min(sketch.length, Math.max(0, z));
  if (match?.[1] === 'outside') {
    const step = sketch.steps[index];
    return step ? (step.zFrom + step.zTo) / 2 : sketch.length;
  }
  if (match?.[1] === 'details') {
    const detail = part.details?.[index];
    if (!detail || detail.kind === 'face-groove') return undefined;
    const { at, datum } = detail;
    const face = faceOf(datum || 'front', part.outside);
    const place = readPlace(at, { units, general: part.generalTolerance ?? 'medium', path });
    return place.ok && face !== undefined ? within(countedFrom(face, edges, place.value.nominal)) : undefined;
  }
  if (match?.[1] === 'bores') return part.bores?.[index]?.from === 'back' ? sketch.length : 0;
  if (match?.[1] === 'lengths') {
    const face = faceOf(part.lengths?.[index]?.to ?? '', part.outside);
    return face === undefined ? undefined : (edges[face] ?? sketch.length);
  }
  return undefined;
}
