import { bad, collect, good, refuse, type Problem, type Result } from '../result';
import { formatNominal, parseLength, type UnitSystem } from '../units/length';
import type { ChamferFile, HoleFile, PartFile, StepFile } from '../formats/runFile';
import type { Chamfer, Hole, Part, Step } from './part';
import { readSize, type LengthEntry, type SizeContext } from './size';

const CLOSE = 0.001;

/** Reads a plain length at a path. */
export function readLength(entry: LengthEntry, units: UnitSystem, path: string): Result<number> {
  const length = parseLength(entry, units);
  return length.ok ? length : { ok: false, problems: length.problems.map(({ message }) => ({ path, message })) };
}

type Context = Omit<SizeContext, 'path'>;

/** Ra in µm: a number, or its text; nothing when it is left empty. */
function readRoughness(entry: number | string | undefined, path: string): Result<number | undefined> {
  const text = String(entry ?? '')
    .trim()
    .replace(',', '.');
  if (text === '') return good(undefined);
  return Number(text) > 0 ? good(Number(text)) : refuse(path, `“${text}” is not a roughness; write Ra in µm, as 1.6`);
}

function readStep(step: StepFile, path: string, context: Context): Result<Omit<Step, 'zFrom' | 'zTo'>> {
  const diameter = readSize(step.diameter, { ...context, path: `${path}.diameter` });
  const length = readSize(step.length, { ...context, path: `${path}.length` });
  const roughness = readRoughness(step.roughness, `${path}.roughness`);
  if (!diameter.ok || !length.ok || !roughness.ok)
    return bad(...[diameter, length, roughness].flatMap((result) => (result.ok ? [] : result.problems)));
  return good({
    path,
    diameter: diameter.value,
    length: length.value,
    critical: step.critical ?? false,
    ...(step.name ? { name: step.name } : {}),
    ...(roughness.value === undefined ? {} : { roughness: roughness.value }),
  });
}

/** Puts the steps one behind the other. */
function placed(steps: Omit<Step, 'zFrom' | 'zTo'>[]): Step[] {
  let z = 0;
  return steps.map((step) => ({ ...step, zFrom: z, zTo: (z += step.length.nominal) }));
}

/** Finds the corner that a chamfer sits on and checks that it has room there. */
function readChamfer(
  entry: ChamferFile,
  path: string,
  steps: Step[],
  units: UnitSystem,
  paths = { at: `${path}.at`, size: `${path}.size`, side: `${path}.side` },
): Result<Chamfer> {
  const z = readLength(entry.at, units, paths.at);
  const size = readLength(entry.size, units, paths.size);
  if (!z.ok) return z;
  if (!size.ok) return size;
  const show = (mm: number) => `${formatNominal(mm, units)} ${units}`;
  if (size.value <= 0) return refuse(paths.size, `${entry.size} must be more than nothing`);
  const before = steps.findIndex(({ zTo }) => Math.abs(zTo - z.value) < CLOSE);
  const after = steps.findIndex(({ zFrom }) => Math.abs(zFrom - z.value) < CLOSE);
  if (before < 0 && after < 0)
    return refuse(
      paths.at,
      `no step begins or ends at ${show(z.value)}; edges are at ${[0, ...steps.map(({ zTo }) => zTo)].map(show).join(', ')}`,
    );
  const radiusOf = (index: number) => (steps[index]?.diameter.nominal ?? 0) / 2;
  const end = radiusOf(before) > radiusOf(after) ? 'back' : 'front';
  const step = steps[end === 'back' ? before : after];
  const height = Math.abs(radiusOf(before) - radiusOf(after));
  if (!step || height < CLOSE)
    return refuse(paths.at, `the diameter does not change at ${show(z.value)}: there is no edge to chamfer`);
  if (entry.side && entry.side !== end)
    return refuse(paths.side, `the corner at ${show(z.value)} faces the ${end}, not the ${entry.side}`);
  if (size.value > height - CLOSE && height < step.diameter.nominal / 2 - CLOSE)
    return refuse(
      paths.size,
      `a chamfer of ${show(size.value)} is as high as the shoulder it sits on (${show(height)})`,
    );
  if (size.value > step.diameter.nominal / 2 - CLOSE)
    return refuse(
      paths.size,
      `a chamfer of ${show(size.value)} is larger than the radius it sits on (${show(step.diameter.nominal / 2)})`,
    );
  return good({ path, step: step.path, end, z: z.value, size: size.value });
}

/** The chamfers that a step has on its own corners; an empty entry is none. */
function readOwnChamfers(
  { chamfers = {} }: StepFile,
  step: Step | undefined,
  steps: Step[],
  units: UnitSystem,
): Result<Chamfer>[] {
  return (['front', 'back'] as const).flatMap((side) => {
    const size = chamfers[side];
    if (!step || size === undefined || String(size).trim() === '') return [];
    const path = `${step.path}.chamfers.${side}`;
    return [
      readChamfer(
        { kind: 'chamfer', at: `${side === 'front' ? step.zFrom : step.zTo} mm`, size, side },
        path,
        steps,
        units,
        { at: path, size: path, side: path },
      ),
    ];
  });
}

/** Chamfers of one step must leave something of it, and no corner has two. */
function checkChamferRoom(chamfers: Chamfer[], steps: Step[], units: UnitSystem): Problem[] {
  return steps.flatMap((step) => {
    const own = chamfers.filter((chamfer) => chamfer.step === step.path);
    const twice = own.find((chamfer, index) => own.findIndex(({ end }) => end === chamfer.end) !== index);
    if (twice) return [{ path: twice.path, message: 'this corner has a chamfer already' }];
    const taken = own.reduce((total, { size }) => total + size, 0);
    const last = own.at(-1);
    if (!last || taken < step.length.nominal - CLOSE) return [];
    return [
      {
        path: last.path.includes('.chamfers.') ? last.path : `${last.path}.size`,
        message: `the chamfers (${formatNominal(taken, units)}) are as long as their step (${formatNominal(step.length.nominal, units)} ${units})`,
      },
    ];
  });
}

function readHole(entry: HoleFile, path: string, part: Pick<Part, 'steps' | 'length'>, context: Context): Result<Hole> {
  const { units } = context;
  const diameter = readSize(entry.diameter, { ...context, path: `${path}.diameter` });
  const through = String(entry.depth).trim().toLowerCase() === 'through';
  const depth = through ? good(part.length) : readLength(entry.depth, units, `${path}.depth`);
  if (!diameter.ok) return diameter;
  if (!depth.ok) return depth;
  const show = (mm: number) => `${formatNominal(mm, units)} ${units}`;
  if (depth.value <= 0) return refuse(`${path}.depth`, `${entry.depth} must be more than nothing`);
  if (!through && depth.value > part.length - CLOSE)
    return refuse(
      `${path}.depth`,
      `${show(depth.value)} is as deep as the part is long (${show(part.length)}); write “through” if it goes through`,
    );
  const thin = part.steps.find(
    (step) => step.zFrom < depth.value - CLOSE && step.diameter.nominal - diameter.value.nominal < CLOSE,
  );
  if (thin)
    return refuse(
      `${path}.diameter`,
      `a hole of ${show(diameter.value.nominal)} leaves no wall in the step of ${show(thin.diameter.nominal)} (${thin.path})`,
    );
  return good({ path, from: 'front', diameter: diameter.value, depth: depth.value, through });
}

/** A wider hole that is as deep as a narrower one leaves nothing of it. */
function checkHolesMeet(holes: Hole[], units: UnitSystem): Problem[] {
  return holes.flatMap((hole, index) => {
    const swallowing = holes.find(
      (other, at) =>
        at !== index &&
        other.depth >= hole.depth - CLOSE &&
        (other.diameter.nominal > hole.diameter.nominal ||
          (other.diameter.nominal === hole.diameter.nominal && at < index)),
    );
    if (!swallowing) return [];
    return [
      {
        path: `${hole.path}.depth`,
        message: `nothing is left of this hole: ⌀${formatNominal(swallowing.diameter.nominal, units)} (${swallowing.path}) is as wide and as deep`,
      },
    ];
  });
}

/** The steps without a last line that waits to be filled in. */
function entered(outside: StepFile[]): StepFile[] {
  const last = outside.at(-1);
  const waits = last && [last.diameter, last.length].every((entry) => typeof entry === 'string' && entry.trim() === '');
  return waits ? outside.slice(0, -1) : outside;
}

/**
 * Reads the part of a run file: sizes, places, and whether such a part can be.
 * @returns the part in mm, or every problem found with its path
 */
export function readPart(file: PartFile, units: UnitSystem): Result<Part> {
  const context: Context = { units, general: file.generalTolerance ?? 'medium' };
  const outside = entered(file.outside);
  if (outside.length === 0) return refuse('part.outside', 'is empty: give the first step, its diameter and its length');
  const read = collect(outside.map((step, index) => readStep(step, `part.outside[${index}]`, context)));
  if (!read.ok) return read;
  const steps = placed(read.value);
  const length = steps.at(-1)?.zTo ?? 0;
  const chamfers = collect([
    ...(file.details ?? []).map((entry, index) => readChamfer(entry, `part.details[${index}]`, steps, units)),
    ...outside.flatMap((entry, index) => readOwnChamfers(entry, steps[index], steps, units)),
  ]);
  const holes = collect(
    (file.bores ?? []).map((entry, index) => readHole(entry, `part.bores[${index}]`, { steps, length }, context)),
  );
  if (!chamfers.ok || !holes.ok)
    return { ok: false, problems: [chamfers, holes].flatMap((result) => (result.ok ? [] : result.problems)) };
  const problems = [...checkChamferRoom(chamfers.value, steps, units), ...checkHolesMeet(holes.value, units)];
  if (problems.length > 0) return { ok: false, problems };
  return good({
    number: file.number,
    name: file.name ?? '',
    revision: file.revision ?? '',
    length,
    steps,
    chamfers: chamfers.value,
    holes: holes.value,
  });
}
