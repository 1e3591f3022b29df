import { sayFigure } from '../model/units/mark';
import type { Dimension, Place } from '../model/part/feature';
import { overAllOf } from '../model/part/chain';
import { countedFrom } from '../read/lengths/faces';
import type { Part } from '../model/part/part';
import { exactly, type Size } from '../model/part/size';
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

/** A size that the drawing gives no limits of its own. */

/** Diameters of the plain steps. */
const stepLabels = ({ steps, features }: Part, units: UnitSystem): Label[] =>
  steps
    .filter(({ path }) => !features.some((feature) => feature.path === path))
    .map((step) => ({
      z: (step.zFrom + step.zTo) / 2,
      r: step.diameter.nominal / 2,
      text: `⌀${sizeOnDrawing(step.diameter, units)}${step.roughness === undefined ? '' : ` Ra ${sayFigure(step.roughness)}`}`,
      of: step.path,
      critical: step.critical,
    }));

/** What stands beside the features of the outside, or of the bore. */
function featureLabels(part: Part, units: UnitSystem, inside: boolean): Label[] {
  const { outside } = finishedPart(part);
  const label = (dimension: Exclude<Dimension, { kind: 'length' }>, of: string): Label => {
    const isNote = dimension.kind === 'note';
    const text = isNote ? dimension.text : `${dimension.text ?? '⌀'}${sizeOnDrawing(dimension.size, units)}`;
    const r = isNote ? dimension.r : inside ? dimension.size.nominal / 2 : radiusAt(outside, dimension.z);
    return { z: dimension.z, r: inside ? -r : r, text, of, critical: isCritical(part, of) };
  };
  return part.features
    .filter(({ bore }) => (bore !== undefined) === inside)
    .flatMap(({ path, dimensions }) =>
      dimensions.flatMap((dimension) => (dimension.kind === 'length' ? [] : [label(dimension, path)])),
    );
}

const isCritical = ({ steps, holes, features }: Part, path: string): boolean =>
  [...steps, ...holes, ...features].some((candidate) => candidate.path === path && candidate.critical === true);

const chamferLabels = ({ chamfers, steps }: Part, units: UnitSystem): Label[] =>
  chamfers.map(({ path, step, end, z, size }) => ({
    z: end === 'front' ? z + size / 2 : z - size / 2,
    r: (steps.find(({ path: other }) => other === step)?.diameter.nominal ?? 0) / 2 - size / 2,
    text: `${sizeOnDrawing(exactly(size), units)} × 45°`,
    of: path,
    critical: false,
  }));

const holeLabels = ({ holes, length }: Part, units: UnitSystem): Label[] =>
  holes.map(({ path, diameter, from, depth }) => ({
    z: from === 'front' ? depth / 2 : length - depth / 2,
    r: -diameter.nominal / 2,
    text: `⌀${sizeOnDrawing(diameter, units)}`,
    of: path,
    critical: false,
  }));

/** Lengths between faces, those of features and where they lie, depths of holes, and the length over all. */
function lengthsOf(part: Part, units: UnitSystem): Length[] {
  const { steps, links, features, holes, length } = part;
  const edges = [0, ...steps.map(({ zTo }) => zTo)];
  const plain = (z0: number, z1: number, of: string, size: Size = exactly(z1 - z0)): Length => ({
    z0,
    z1,
    text: sizeOnDrawing(size, units),
    of,
    critical: false,
  });
  return [
    ...links.map(({ from, to, size, path }) => ({
      ...plain(edges[from] ?? 0, edges[to] ?? length, path, size),
      critical: isCritical(part, path),
    })),
    ...features.flatMap(({ path, dimensions }) =>
      dimensions.flatMap((dimension) =>
        dimension.kind === 'length' ? [plain(dimension.z0, dimension.z1, path, dimension.size)] : [],
      ),
    ),
    ...features.flatMap(({ path, place }) => placeOf(path, place, edges, units)),
    ...holes
      .filter(({ through }) => !through)
      .map(({ from, depth, path }) => (from === 'front' ? plain(0, depth, path) : plain(length - depth, length, path))),
    ...(steps.length > 1
      ? [{ z0: 0, z1: length, text: sizeOnDrawing(overAllOf(links), units), of: 'part', critical: false }]
      : []),
  ];
}

/** Everything the drawing writes: diameters and notes above, those of the bore below, and the lengths. */
export const written = (part: Part, units: UnitSystem): { above: Label[]; below: Label[]; lengths: Length[] } => ({
  above: [...stepLabels(part, units), ...featureLabels(part, units, false), ...chamferLabels(part, units)],
  below: [...holeLabels(part, units), ...featureLabels(part, units, true)],
  lengths: unlike(lengthsOf(part, units)),
});

/** How far a feature lies from its face; one without limits at an edge that is dimensioned already says nothing. */
function placeOf(path: string, place: Place | undefined, edges: readonly number[], units: UnitSystem): Length[] {
  if (!place || place.size.nominal === 0) return [];
  const [face, z] = [edges[place.face] ?? 0, countedFrom(place.face, edges, place.size.nominal)];
  if (place.size.from === 'general' && edges.some((edge) => Math.abs(edge - z) < 1e-6)) return [];
  const [z0, z1] = [Math.min(face, z), Math.max(face, z)];
  return [{ z0, z1, text: sizeOnDrawing(place.size, units), of: path, critical: false }];
}

/** The same stretch is dimensioned once. */
const unlike = (lengths: Length[]): Length[] =>
  lengths.filter(
    ({ z0, z1 }, index) =>
      lengths.findIndex((other) => Math.abs(other.z0 - z0) < 1e-6 && Math.abs(other.z1 - z1) < 1e-6) === index,
  );
