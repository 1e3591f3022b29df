import type { Dimension, Place } from '../model/part/feature';
import { chainBetween, sumOf, treeOf } from '../model/part/chain';
import { countedFrom } from '../read/lengths/faces';
import type { Part } from '../model/part/part';
import { finishedPart } from '../model/workpiece/finishedPart';
import { radiusAt } from '../model/workpiece/profile';
import type { UnitSystem } from '../model/units/length';
import { sizeOnDrawing } from './words';

/** Something written beside a surface: a diameter, a radius, a note. */
export interface Label {
  z: number;
  /** Radius that the leader goes to; of a bore negative, so that it goes to the lower half. */
  r: number;
  text: string;
  of: string;
  critical: boolean;
}

/** A length between two places. */
export interface Length {
  z0: number;
  z1: number;
  text: string;
  of: string;
  critical: boolean;
}

/** Everything the drawing writes: diameters and notes above, those of the bore below, and the lengths. */
export function written(part: Part, units: UnitSystem): { above: Label[]; below: Label[]; lengths: Length[] } {
  const { outside } = finishedPart(part);
  const plain = part.steps.filter(({ path }) => !part.features.some((feature) => feature.path === path));
  const ofSteps = plain.map((step): Label => ({
    z: (step.zFrom + step.zTo) / 2,
    r: step.diameter.nominal / 2,
    text: `⌀${sizeOnDrawing(step.diameter, units)}${step.roughness === undefined ? '' : ` Ra ${step.roughness}`}`,
    of: step.path,
    critical: step.critical,
  }));
  const criticalOf = (path: string) => part.steps.find((step) => step.path === path)?.critical ?? false;
  const label = (dimension: Exclude<Dimension, { kind: 'length' }>, of: string, inside: boolean): Label => {
    const text =
      dimension.kind === 'note' ? dimension.text : `${dimension.text ?? '⌀'}${sizeOnDrawing(dimension.size, units)}`;
    const r =
      dimension.kind === 'note' ? dimension.r : inside ? dimension.size.nominal / 2 : radiusAt(outside, dimension.z);
    return { z: dimension.z, r: inside ? -r : r, text, of, critical: criticalOf(of) };
  };
  const features = part.features.map(({ path, bore, dimensions }) => ({
    path,
    inside: bore !== undefined,
    dimensions,
  }));
  const labels = (inside: boolean) =>
    features
      .filter((feature) => feature.inside === inside)
      .flatMap(({ path, dimensions }) =>
        dimensions.flatMap((dimension) => (dimension.kind === 'length' ? [] : [label(dimension, path, inside)])),
      );
  const chamfers = part.chamfers.map(({ path, step, end, z, size }): Label => {
    const own = part.steps.find((other) => other.path === step);
    return {
      z: end === 'front' ? z + size / 2 : z - size / 2,
      r: (own?.diameter.nominal ?? 0) / 2 - size / 2,
      text: `${sizeOnDrawing({ nominal: size, lower: 0, upper: 0, aim: size, from: 'general' }, units)} × 45°`,
      of: path,
      critical: false,
    };
  });
  const holes = part.holes.map(({ path, diameter, from, depth }): Label => {
    const middle = from === 'front' ? depth / 2 : part.length - depth / 2;
    return {
      z: middle,
      r: -diameter.nominal / 2,
      text: `⌀${sizeOnDrawing(diameter, units)}`,
      of: path,
      critical: false,
    };
  });
  const edges = [0, ...part.steps.map(({ zTo }) => zTo)];
  const lengths = [
    ...part.links.map(({ from, to, size, path }): Length => ({
      z0: edges[from] ?? 0,
      z1: edges[to] ?? part.length,
      text: sizeOnDrawing(size, units),
      of: path,
      critical: criticalOf(path),
    })),
    ...part.features.flatMap(({ path, dimensions }) =>
      dimensions.flatMap((dimension): Length[] => {
        if (dimension.kind !== 'length') return [];
        const { z0, z1, size } = dimension;
        const nominal = { nominal: z1 - z0, lower: 0, upper: 0, aim: z1 - z0, from: 'general' as const };
        return [{ z0, z1, text: sizeOnDrawing(size ?? nominal, units), of: path, critical: false }];
      }),
    ),
    ...part.features.flatMap(({ path, place }): Length[] => placeOf(path, place, edges, units)),
    ...part.holes
      .filter(({ through }) => !through)
      .map(({ from, depth, path }): Length => {
        const [z0, z1] = from === 'front' ? [0, depth] : [part.length - depth, part.length];
        const nominal = { nominal: depth, lower: 0, upper: 0, aim: depth, from: 'general' as const };
        return { z0, z1, text: sizeOnDrawing(nominal, units), of: path, critical: false };
      }),
    ...(part.steps.length > 1
      ? [{ z0: 0, z1: part.length, text: overAll(part, units), of: 'part', critical: false }]
      : []),
  ];
  return {
    above: [...ofSteps, ...labels(false), ...chamfers],
    below: [...holes, ...labels(true)],
    lengths: unlike(lengths),
  };
}

/** How far a feature lies from its face; one without limits at an edge that is dimensioned already says nothing. */
function placeOf(path: string, place: Place | undefined, edges: readonly number[], units: UnitSystem): Length[] {
  if (!place || place.size.nominal === 0) return [];
  const [face, z] = [edges[place.face] ?? 0, countedFrom(place.face, edges, place.size.nominal)];
  if (place.size.from === 'general' && edges.some((edge) => Math.abs(edge - z) < 1e-6)) return [];
  const [z0, z1] = [Math.min(face, z), Math.max(face, z)];
  return [{ z0, z1, text: sizeOnDrawing(place.size, units), of: path, critical: false }];
}

/** The length over all, as the chain of the drawing's lengths adds up to. */
function overAll({ steps, links }: Part, units: UnitSystem): string {
  const faces = steps.length + 1;
  return sizeOnDrawing(sumOf(chainBetween(treeOf(faces, links), 0, faces - 1) ?? []), units);
}

/** The same stretch is dimensioned once. */
const unlike = (lengths: Length[]): Length[] =>
  lengths.filter(
    ({ z0, z1 }, index) =>
      lengths.findIndex((other) => Math.abs(other.z0 - z0) < 1e-6 && Math.abs(other.z1 - z1) < 1e-6) === index,
  );
