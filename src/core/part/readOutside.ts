import type { StepFile } from '../formats/runFile';
import { bad, collect, good, refuse, type Problem, type Result } from '../result';
import { cylinder, type Segment } from '../removal/segment';
import { sayDiameter } from '../words';
import type { Feature } from './feature';
import { readFields, type Context, type Field } from './fields';
import type { Step } from './part';
import { stepShapes } from './shapes';
import type { Shape } from './shapes/shape';
import type { Size } from './size';

const CLOSE = 0.001;

/** What every step may have beside its shape. */
const SURFACE: readonly Field[] = [{ key: 'roughness', label: 'Ra', takes: 'roughness' }];

/** The outside, read: what turning leaves, what it is beyond that, and its true outline. */
export interface Outside {
  steps: Step[];
  features: Feature[];
  outline: Segment[];
  /** Paths of the steps that are plain cylinders with nothing larger on both sides. */
  plain: string[];
  length: number;
}

interface Read extends Shape {
  path: string;
  entry: StepFile;
  zFrom: number;
  roughness: number | undefined;
}

function readSteps(entries: StepFile[], context: Context): Result<Read[]> {
  let z = 0;
  const problems: Problem[] = [];
  const steps = entries.flatMap((entry, index): Read[] => {
    const path = `part.outside[${index}]`;
    const shape = stepShapes.find((own) => own.shape === entry.shape);
    if (!shape) {
      problems.push({ path: `${path}.shape`, message: `“${entry.shape}” is not a shape of a step` });
      return [];
    }
    const values = readFields([...shape.fields, ...SURFACE], entry, path, context);
    const read = values.ok
      ? shape.read(values.value, path, { ...context, z, first: index === 0, last: index === entries.length - 1 })
      : values;
    if (!read.ok) {
      problems.push(...read.problems);
      return [];
    }
    const zFrom = z;
    z += read.value.length.nominal;
    const roughness = values.ok ? values.value.optional('roughness') : undefined;
    return [{ ...read.value, path, entry, zFrom, roughness }];
  });
  return problems.length > 0 ? bad(...problems) : good(steps);
}

const wider = (a: Size | undefined, b: Size): Size => (a && a.nominal >= b.nominal ? a : b);

/** The lower of the largest diameters on both sides, where both are larger: turning from either end leaves that. */
function overRecess(steps: Read[], index: number): Size | undefined {
  const own = steps[index]?.diameter.nominal ?? 0;
  const most = (side: Read[]) =>
    side.reduce<Size | undefined>((size, { diameter }) => wider(size, diameter), undefined);
  const [before, after] = [most(steps.slice(0, index)), most(steps.slice(index + 1))];
  if (!before || !after) return undefined;
  const over = before.nominal <= after.nominal ? before : after;
  return over.nominal > own + CLOSE ? over : undefined;
}

function recessOf({ path, diameter, zFrom, length }: Read, units: Context['units']): Feature {
  const [z0, z1] = [zFrom, zFrom + length.nominal];
  return {
    path,
    kind: 'recess',
    name: `recess ${sayDiameter(diameter.nominal, units)}`,
    z0,
    z1,
    outside: [cylinder(z0, z1, diameter.nominal / 2)],
    size: diameter,
    dimensions: [{ kind: 'diameter', z: (z0 + z1) / 2, size: diameter }],
  };
}

/** The steps without a last line that waits to be filled in. */
function entered(outside: StepFile[]): StepFile[] {
  const blank = (value: unknown) => value === undefined || (typeof value === 'string' && value.trim() === '');
  const last = Object.entries(outside.at(-1) ?? {});
  const waits = last.every(
    ([key, value]) => key === 'shape' || key === 'critical' || key === 'chamfers' || blank(value),
  );
  return waits ? outside.slice(0, -1) : outside;
}

/** Reads the outside, front to back: every step in its place. */
export function readOutside(entries: StepFile[], context: Context): Result<Outside> {
  const given = entered(entries);
  if (given.length === 0) return refuse('part.outside', 'is empty: give the first step, its diameter and its length');
  const read = readSteps(given, context);
  if (!read.ok) return read;
  const over = read.value.map((_, index) => overRecess(read.value, index));
  const steps = read.value.map(({ path, entry, diameter, length, zFrom, roughness }, index): Step => ({
    path,
    ...(entry.name ? { name: entry.name } : {}),
    diameter: over[index] ?? diameter,
    length,
    zFrom,
    zTo: zFrom + length.nominal,
    critical: entry.critical ?? false,
    ...(roughness === undefined ? {} : { roughness }),
  }));
  const features = read.value.flatMap(
    (step, index) => step.feature ?? (over[index] ? [recessOf(step, context.units)] : []),
  );
  return good({
    steps,
    features,
    outline: read.value.flatMap(({ outline }) => outline),
    plain: steps.flatMap(({ path }) => (features.some((feature) => feature.path === path) ? [] : [path])),
    length: steps.at(-1)?.zTo ?? 0,
  });
}

/** All the problems of results that have none of their values. */
export const problemsIn = (...results: Result<unknown>[]): Problem[] => {
  const all = collect(results);
  return all.ok ? [] : all.problems;
};
