import type { LengthEntry } from '../model/part/size';
import type { Surroundings } from './featureKind';
import type { DetailFile, StepFile } from './runFile';
import { andThen, collect, good, refuse, type Problem, type Result } from '../model/result';
import { formatNominal } from '../model/units/length';
import { detailKinds } from './details';
import { chamfer } from './details/chamfer';
import type { Feature, Place } from '../model/part/feature';
import { countedFrom, faceOf, noFace } from './lengths/faces';
import type { Chamfer, Step } from '../model/part/part';
import type { Outside } from './readOutside';
import { exactly, readPlace, sizeText, type Size } from '../model/part/size';
import { CLOSE } from '../model/tolerances';

/** Where a detail is: from the finished front face, mm, and as the drawing has it, whichever face that counts from. */
interface Placed {
  at: Size;
  drawn: Place;
}

/** The place of a detail; undefined for one that has none, or not yet. */
export function placeFromFront(
  entry: DetailFile,
  path: string,
  { steps, edges, units, general }: Pick<Surroundings, 'steps' | 'edges' | 'units' | 'general'>,
): Result<Placed | undefined> {
  if (entry.kind === 'face-groove') return good(undefined);
  const { datum = '', at } = entry;
  const face = String(datum).trim() === '' ? 0 : faceOf(datum, steps);
  if (face === undefined) return refuse(`${path}.datum`, noFace(datum, steps));
  if (at === undefined || sizeText(at).trim() === '') return good(undefined);
  return andThen(readPlace(at, { units, general, path: `${path}.at` }), (size) =>
    good({ at: { ...size, nominal: countedFrom(face, edges, size.nominal) }, drawn: { face, size } }),
  );
}

/** A feature at the place that the drawing gives it; a corner is where its faces are, and takes no limits. */
function placed(feature: Feature, place: Place | undefined, onCorner: boolean): Result<Feature> {
  if (!place) return good(feature);
  if (!onCorner) return good({ ...feature, place });
  return place.size.from === 'limits'
    ? refuse(`${feature.path}.at`, 'a corner is where its faces are: give the limits to the length that ends there')
    : good(feature);
}

/** Reads a detail of the run file. */
function readDetail(entry: DetailFile, path: string, around: Surroundings): Result<Feature> {
  const kind = detailKinds.find((known) => known.kind === entry.kind);
  if (!kind) return refuse(`${path}.kind`, `“${entry.kind}” is not a detail`);
  return andThen(placeFromFront(entry, path, around), (place) =>
    andThen(
      kind.read(place ? { ...entry, at: undefined } : entry, path, around, place && { at: place.at }),
      (feature) =>
        andThen(placed(feature, place?.drawn, kind.onCorner === true), (at) =>
          good(entry.name ? { ...at, called: entry.name } : at),
        ),
    ),
  );
}

/** A chamfer as drawings write it: `1`, `C1`, `1x45`, `1 × 30°`. */
function asDrawn(entry: LengthEntry): { size: LengthEntry; angle?: string } {
  const [, size, angle] = /^c?\s*(.*?\S)(?:\s*[x×*]\s*(\d+(?:[.,]\d+)?)\s*°?)?$/i.exec(String(entry).trim()) ?? [];
  return size === undefined ? { size: entry } : { size, ...(angle === undefined ? {} : { angle }) };
}

/** The chamfers that a step has on its own corners; an empty entry is none. Its problems stand at the entry. */
function readOwnChamfers(
  { chamfers = {} }: Pick<StepFile, 'chamfers'>,
  step: Step,
  around: Surroundings,
): Result<Feature>[] {
  return (['front', 'back'] as const).flatMap((side) => {
    const size = chamfers[side];
    if (size === undefined || String(size).trim() === '') return [];
    const path = `${step.path}.chamfers.${side}`;
    const at = side === 'front' ? step.zFrom : step.zTo;
    const read = chamfer.read({ ...asDrawn(size), side }, path, around, { at: exactly(at) });
    return [read.ok ? read : { ok: false, problems: read.problems.map((problem) => ({ ...problem, path })) }];
  });
}

/** The step whose outer corner a chamfer is on, when it is one of those that a chamfer tool does as things are. */
function plainCorner(chamfer: Feature, outside: Outside): Chamfer | undefined {
  const size = chamfer.z1 - chamfer.z0;
  const cut = chamfer.outside?.[0];
  // The tool has 45°: as far along the axis as in radius.
  if (!cut || Math.abs(Math.abs(cut.r1 - cut.r0) - size) > 1e-9) return undefined;
  const end = cut.r0 < cut.r1 ? 'front' : 'back';
  const z = end === 'front' ? chamfer.z0 : chamfer.z1;
  const index = outside.steps.findIndex(({ zFrom, zTo }) => Math.abs((end === 'front' ? zFrom : zTo) - z) < CLOSE);
  const step = outside.steps[index];
  if (!step || !outside.plain.includes(step.path)) return undefined;
  const beside = outside.steps[index + (end === 'front' ? -1 : 1)];
  const height = (step.diameter.nominal - (beside?.diameter.nominal ?? 0)) / 2;
  return height > size ? { path: chamfer.path, step: step.path, end, z, size } : undefined;
}

/** Chamfers of one step must leave something of it, and no corner has two. */
function checkChamferRoom(chamfers: Chamfer[], steps: Step[], units: Surroundings['units']): Problem[] {
  return steps.flatMap((step) => {
    const onStep = chamfers.filter((chamfer) => chamfer.step === step.path);
    const twice = onStep.find((chamfer, index) => onStep.findIndex(({ end }) => end === chamfer.end) !== index);
    if (twice) return [{ path: twice.path, message: 'this corner has a chamfer already' }];
    const taken = onStep.reduce((total, { size }) => total + size, 0);
    const last = onStep.at(-1);
    if (!last || taken < step.length.nominal - CLOSE) return [];
    return [
      {
        path: last.path.includes('.chamfers.') ? last.path : `${last.path}.size`,
        message: `the chamfers (${formatNominal(taken, units)}) are as long as their step (${formatNominal(step.length.nominal, units)} ${units})`,
      },
    ];
  });
}

/** The details of the outside: the chamfers that are cut as they are, and everything else as features. */
export function readDetails(
  details: DetailFile[],
  entries: StepFile[],
  outside: Outside,
  around: Surroundings,
): Result<{ chamfers: Chamfer[]; features: Feature[] }> {
  const read = collect([
    ...details.map((entry, index) => readDetail(entry, `part.details[${index}]`, around)),
    ...outside.steps.flatMap((step, index) => readOwnChamfers(entries[index] ?? {}, step, around)),
  ]);
  if (!read.ok) return read;
  const chamfers: Chamfer[] = [];
  const features: Feature[] = [];
  for (const feature of read.value) {
    const plain = feature.kind === 'chamfer' ? plainCorner(feature, outside) : undefined;
    if (plain) chamfers.push(plain);
    else features.push(feature);
  }
  const problems = checkChamferRoom(chamfers, outside.steps, around.units);
  return problems.length > 0 ? { ok: false, problems } : good({ chamfers, features });
}
