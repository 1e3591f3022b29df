import type { LengthFile, StepFile } from './runFile';
import { andThen, bad, collect, good, refuse, type Problem, type Result } from '../model/result';
import { cylinder, type Segment } from '../model/workpiece/segment';
import { sayDiameter } from '../model/words';
import type { Feature } from '../model/part/feature';
import { readFields, type Context, type Field } from './fields';
import type { Step } from '../model/part/part';
import { middlesOf, type Link } from '../model/part/chain';
import { lengthsFromChains, readLinks } from './lengths/drawnLengths';
import { stepShapes } from './shapes';
import type { Shape } from './shapes/shape';
import { readSize, type Size } from '../model/part/size';
import { CLOSE } from '../model/tolerances';

/** What every step may have beside its shape. */
const SURFACE = [{ key: 'roughness', label: 'Ra', takes: 'roughness' }] as const satisfies readonly Field[];

/** The outside, read: what turning leaves, what it is beyond that, and its true outline. */
export interface Outside {
  steps: Step[];
  features: Feature[];
  outline: Segment[];
  /** Paths of the steps that are plain cylinders with nothing larger on both sides. */
  plain: string[];
  length: number;
  /** The lengths as the drawing gives them. */
  links: Link[];
}

interface Read extends Shape {
  path: string;
  entry: StepFile;
  zFrom: number;
  roughness: number | undefined;
}

type Where = Context & { z: number; first: boolean; last: boolean };

/** One step at its place; a length that it does not give is the one that is known. */
function readStep(entry: StepFile, path: string, where: Where, known?: Size): Result<Read> {
  const shape = stepShapes.find((stepShape) => stepShape.shape === entry.shape);
  if (!shape) return refuse(`${path}.shape`, `“${entry.shape}” is not a shape of a step`);
  const read = shape.read(entry, path, where, known ? { length: known } : {});
  const surface = readFields(SURFACE, entry, path, where);
  return read.ok && surface.ok
    ? good({ ...read.value, path, entry, zFrom: where.z, roughness: surface.value.roughness })
    : bad(...problemsIn(read, surface));
}

const pathOf = (index: number) => `part.outside[${index}]`;

/** Every step in its place, one behind the other. */
function readSteps(entries: StepFile[], known: ReadonlyMap<number, Size>, context: Context): Result<Read[]> {
  let z = 0;
  return collect(
    entries.map((entry, index) => {
      const where = { ...context, z, first: index === 0, last: index === entries.length - 1 };
      const step = readStep(entry, pathOf(index), where, known.get(index));
      if (step.ok) z += step.value.length.nominal;
      return step;
    }),
  );
}

const isBlank = (value: unknown) => value === undefined || (typeof value === 'string' && value.trim() === '');

/** The lengths that steps leave to the drawing's chains. Only asked for when it gives any. */
function knownLengths(entries: StepFile[], drawn: Link[], context: Context): Result<Map<number, Size>> {
  if (drawn.length === 0) return good(new Map());
  const given = entries.flatMap((entry, index): Link[] => {
    const where = { ...context, z: 0, first: index === 0, last: index === entries.length - 1 };
    const step = readStep(entry, pathOf(index), where);
    if (step.ok) return [{ path: `${pathOf(index)}.length`, from: index, to: index + 1, size: step.value.length }];
    if (isBlank(entry.length)) return [];
    // Something else is wrong with the step, which is told when it is read in its place.
    const size = readSize(entry.length ?? '', { ...context, path: '' });
    return size.ok ? [{ path: `${pathOf(index)}.length`, from: index, to: index + 1, size: size.value }] : [];
  });
  return lengthsFromChains(entries, given, drawn, context);
}

const wider = (a: Size | undefined, b: Size): Size => (a && a.nominal >= b.nominal ? a : b);

/** The lower of the largest diameters on both sides, where both are larger: turning from either end leaves that. */
function overRecess(steps: Read[], index: number): Size | undefined {
  const narrow = steps[index]?.diameter.nominal ?? 0;
  const most = (side: Read[]) =>
    side.reduce<Size | undefined>((size, { diameter }) => wider(size, diameter), undefined);
  const [before, after] = [most(steps.slice(0, index)), most(steps.slice(index + 1))];
  if (!before || !after) return undefined;
  const over = before.nominal <= after.nominal ? before : after;
  return over.nominal > narrow + CLOSE ? over : undefined;
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

/**
 * The lengths that follow for steps from the drawing's chains, by the places of the steps, so that each can be read without
 * the others; undefined when the chains themselves do not read.
 */
export function chainedLengths(
  entries: StepFile[],
  lengths: readonly LengthFile[],
  context: Context,
): ReadonlyMap<number, Size> | undefined {
  const given = entered(entries);
  const known = andThen(readLinks(lengths, given, context), (drawn) => knownLengths(given, drawn, context));
  return known.ok ? known.value : undefined;
}

/** The steps without a last line that waits to be filled in. */
export function entered(outside: StepFile[]): StepFile[] {
  const last = Object.entries(outside.at(-1) ?? {});
  const waits = last.every(
    ([key, value]) => key === 'shape' || key === 'critical' || key === 'keep' || key === 'chamfers' || isBlank(value),
  );
  return waits ? outside.slice(0, -1) : outside;
}

/**
 * Reads the outside, front to back: every step in its place, its length its own or from the drawing's chains.
 * @param chained lengths that followed from chains which are not read again
 */
export function readOutside(
  entries: StepFile[],
  lengths: readonly LengthFile[] | undefined,
  context: Context,
  chained: ReadonlyMap<number, Size> = new Map(),
): Result<Outside> {
  const given = entered(entries);
  if (given.length === 0) return refuse('part.outside', 'is empty: give the first step, its diameter and its length');
  return andThen(readLinks(lengths, given, context), (drawn) =>
    andThen(knownLengths(given, drawn, context), (followed) => {
      const known = new Map([...chained, ...followed]);
      return andThen(readSteps(given, known, context), (read) => good(outsideOf(read, known, drawn, context)));
    }),
  );
}

function outsideOf(read: Read[], known: ReadonlyMap<number, Size>, drawn: Link[], { units }: Context): Outside {
  const over = read.map((_, index) => overRecess(read, index));
  const given = read.flatMap(({ length, path }, index): Link[] =>
    known.has(index) ? [] : [{ path, from: index, to: index + 1, size: length }],
  );
  const links = [...given, ...drawn];
  const middles = middlesOf(read.length + 1, links);
  const off = (face: number, z: number) => (middles[face] ?? z) - z;
  const steps = read.map(({ path, entry, diameter, length, zFrom, roughness }, index): Step => {
    const zTo = zFrom + length.nominal;
    return {
      path,
      ...(entry.name ? { name: entry.name } : {}),
      diameter: over[index] ?? diameter,
      length,
      zFrom,
      zTo,
      middle: { from: off(index, zFrom), to: off(index + 1, zTo) },
      critical: entry.critical ?? false,
      ...(entry.keep ? { keep: true as const } : {}),
      ...(entry.critical && entry.why?.trim() ? { why: entry.why.trim() } : {}),
      ...(roughness === undefined ? {} : { roughness }),
    };
  });
  const features = read.flatMap((step, index) => step.feature ?? (over[index] ? [recessOf(step, units)] : []));
  return {
    steps,
    features,
    outline: read.flatMap(({ outline }) => outline),
    plain: steps.flatMap(({ path }) => (features.some((feature) => feature.path === path) ? [] : [path])),
    length: steps.at(-1)?.zTo ?? 0,
    links,
  };
}

/** All the problems of results that have none of their values. */
export const problemsIn = (...results: Result<unknown>[]): Problem[] => {
  const all = collect(results);
  return all.ok ? [] : all.problems;
};
