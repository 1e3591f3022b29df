import type { Dimension } from '../part/feature';
import { largestDiameter, type Part } from '../part/part';
import { threadDepth } from '../part/thread';
import { finishedPart } from '../removal/finishedPart';
import { radiusAt, type Profile } from '../removal/profile';
import type { Segment } from '../removal/segment';
import type { UnitSystem } from '../units/length';
import { rowsOf, spreadBy } from './layout';
import { textWidth, type Corner, type Drawing, type LineUse, type Mark } from './marks';
import { sizeOnDrawing } from './words';

/** The sheet to draw on, in its own units. */
export interface Sheet {
  width: number;
  height: number;
  textHeight: number;
  /** Scales that a drawing may have, largest first; without them any that fits. */
  scales?: readonly number[];
}

/** Scales of drawings, enlarged and reduced. */
export const SCALES = [20, 10, 5, 4, 2, 1, 1 / 2, 1 / 4, 1 / 5, 1 / 10] as const;

/** A scale in words: `2 : 1`, `1 : 4`. */
export const scaleName = (scale: number): string =>
  scale >= 1 ? `${Number(scale.toFixed(2))} : 1` : `1 : ${Number((1 / scale).toFixed(2))}`;

interface Label {
  z: number;
  /** Radius that the leader goes to; of a bore negative, so that it goes to the lower half. */
  r: number;
  text: string;
  of: string;
  critical: boolean;
}

interface Length {
  z0: number;
  z1: number;
  text: string;
  of: string;
  critical: boolean;
}

/** Everything the drawing writes: diameters and notes above, those of the bore below, and the lengths. */
function written(part: Part, units: UnitSystem): { above: Label[]; below: Label[]; lengths: Length[] } {
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
  const lengths = [
    ...part.steps.map(({ zFrom, zTo, length, path, critical }): Length => ({
      z0: zFrom,
      z1: zTo,
      text: sizeOnDrawing(length, units),
      of: path,
      critical,
    })),
    ...part.features.flatMap(({ path, dimensions }) =>
      dimensions.flatMap((dimension): Length[] => {
        if (dimension.kind !== 'length') return [];
        const { z0, z1, size } = dimension;
        const nominal = { nominal: z1 - z0, lower: 0, upper: 0, aim: z1 - z0, from: 'general' as const };
        return [{ z0, z1, text: sizeOnDrawing(size ?? nominal, units), of: path, critical: false }];
      }),
    ),
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

/** The length over all: the sum of the steps, with its limits where all of them have any. */
function overAll({ steps, length }: Part, units: UnitSystem): string {
  const sum = (key: 'lower' | 'upper') => steps.reduce((total, step) => total + step.length[key], 0);
  const own = steps.some(({ length: { from } }) => from !== 'general') ? ('limits' as const) : ('general' as const);
  return sizeOnDrawing({ nominal: length, lower: sum('lower'), upper: sum('upper'), aim: length, from: own }, units);
}

/** The same stretch is dimensioned once. */
const unlike = (lengths: Length[]): Length[] =>
  lengths.filter(
    ({ z0, z1 }, index) =>
      lengths.findIndex((other) => Math.abs(other.z0 - z0) < 1e-6 && Math.abs(other.z1 - z1) < 1e-6) === index,
  );

/** Where z and radius come to lie. */
interface Frame {
  x: (z: number) => number;
  y: (r: number) => number;
}

/** The corners of a profile in one half, from its front to its back. */
function cornersOf({ x, y }: Frame, profile: Profile, half: 1 | -1): Corner[] {
  return profile.flatMap((segment, index): Corner[] => {
    const before = profile[index - 1];
    const jump = !before || Math.abs(before.r1 - segment.r0) > 1e-9 || Math.abs(before.z1 - segment.z0) > 1e-9;
    const end: Corner = { x: x(segment.z1), y: y(half * segment.r1) };
    const bulge = bulgeOf(segment, half);
    return [...(jump ? [{ x: x(segment.z0), y: y(half * segment.r0) }] : []), bulge === 0 ? end : { ...end, bulge }];
  });
}

/** Bulge of the way along an arc; z runs to the left on the sheet. */
function bulgeOf({ arc, z0, z1, r0, r1 }: Segment, half: 1 | -1): number {
  if (!arc) return 0;
  const chord = Math.hypot(z1 - z0, r1 - r0);
  const angle = 2 * Math.asin(Math.min(1, chord / (2 * arc.radius)));
  return Math.tan(angle / 4) * (arc.hollow ? 1 : -1) * half;
}

/** A path the other way round: each bulge belongs to the way, not to the corner. */
const reversed = (corners: Corner[]): Corner[] =>
  corners
    .map(({ x, y }, index): Corner => {
      const next = corners[index + 1]?.bulge;
      return next === undefined ? { x, y } : { x, y, bulge: -next };
    })
    .reverse();

const line = (use: LineUse, corners: Corner[], of?: string): Mark => ({
  kind: 'line',
  use,
  corners,
  ...(of ? { of } : {}),
});

/** The metal and its edges. */
function bodyMarks(part: Part, frame: Frame): Mark[] {
  const { outside, bore } = finishedPart(part);
  const open = bore.filter(({ r0, r1 }) => r0 + r1 > 1e-9);
  const { x, y } = frame;
  const halves = ([1, -1] as const).flatMap((half): Mark[] => [
    { kind: 'metal', corners: [...cornersOf(frame, outside, half), ...reversed(cornersOf(frame, bore, half))] },
    line('outline', cornersOf(frame, outside, half)),
    ...(open.length > 0 ? [line('outline', cornersOf(frame, open, half))] : []),
  ]);
  // Every place where the outside changes shows as an edge right across; bores only where they change.
  const across = (z: number, r: number, use: LineUse) =>
    line(use, [
      { x: x(z), y: y(r) },
      { x: x(z), y: y(-r) },
    ]);
  const ends = [0, part.length].map((z) => across(z, radiusAt(outside, z), 'outline'));
  const edges = outside
    .slice(1)
    .map(({ z0 }, index) => across(z0, Math.max(outside[index]?.r1 ?? 0, outside[index + 1]?.r0 ?? 0), 'edge'));
  const steps = open.flatMap(({ z0, z1, r0, r1 }) => [across(z0, r0, 'edge'), across(z1, r1, 'edge')]);
  return [...halves, ...edges, ...steps, ...ends];
}

/** Threads as drawings show them: a thin line at the root; knurls and flats as crossed fields. */
function surfaceMarks(part: Part, { x, y }: Frame): Mark[] {
  const { outside } = finishedPart(part);
  return part.features.flatMap(({ thread, bore, knurl, flats, z0, z1, path }): Mark[] => {
    const both = (r: number, use: LineUse) =>
      [1, -1].map((half) =>
        line(
          use,
          [
            { x: x(z0), y: y(half * r) },
            { x: x(z1), y: y(half * r) },
          ],
          path,
        ),
      );
    if (thread) return both(bore ? thread.diameter / 2 : thread.diameter / 2 - threadDepth(thread), 'thread');
    const surface = radiusAt(outside, (z0 + z1) / 2);
    if (flats)
      return [
        line(
          'thread',
          [
            { x: x(z0), y: y(surface) },
            { x: x(z1), y: y(-surface) },
          ],
          path,
        ),
        line(
          'thread',
          [
            { x: x(z0), y: y(-surface) },
            { x: x(z1), y: y(surface) },
          ],
          path,
        ),
      ];
    if (!knurl) return [];
    const teeth = Math.min(24, Math.max(3, Math.round((z1 - z0) / knurl.pitch)));
    const lean = (z1 - z0) / teeth;
    // Straight teeth lie along the axis; they show as lines across a strip of the surface.
    const leans = knurl.pattern === 'diamond' ? [lean, -lean] : [0];
    return Array.from({ length: teeth }, (_, index) => z0 + ((z1 - z0) * (index + 0.5)) / teeth).flatMap((z) =>
      [1, -1].flatMap((half) =>
        leans.map((by) =>
          line(
            'thread',
            [
              { x: x(z - by / 2), y: y(half * surface) },
              { x: x(z + by / 2), y: y(half * surface * 0.78) },
            ],
            path,
          ),
        ),
      ),
    );
  });
}

/** From the left of the sheet: z runs to the left. */
const byPlace = (labels: Label[]): Label[] => [...labels].sort((a, b) => b.z - a.z);

/** Height of a row of labels, and how far apart their leaders stand, in text heights. */
const ROW = 1.35;
const APART = 1.1;

/** Labels that hang like flags on their leaders, each a row lower than the one to its left, so that nothing crosses. */
interface Flags {
  labels: Label[];
  width: number;
}

/** Labels in groups of so many, from the left. */
const flagsOf = (labels: Label[], many: number, h: number): Flags[] =>
  Array.from({ length: Math.ceil(labels.length / many) }, (_, group) => {
    const own = labels.slice(group * many, (group + 1) * many);
    return { labels: own, width: Math.max(...own.map(({ text }, index) => index * APART * h + textWidth(text, h))) };
  });

/** The fewest rows in which the labels fit beside one another. */
function labelRows(labels: Label[], { width, textHeight: h }: Sheet): number {
  const sorted = byPlace(labels);
  for (let rows = 1; rows < labels.length; rows++) {
    const flags = flagsOf(sorted, rows, h);
    if (flags.reduce((total, own) => total + own.width + h, 0) <= width - h) return rows;
  }
  return labels.length;
}

/** Labels in rows, with leaders to their surfaces. */
function labelMarks(labels: Label[], { x, y }: Frame, sheet: Sheet, at: { edge: number; up: boolean }): Mark[] {
  if (labels.length === 0) return [];
  const h = sheet.textHeight;
  const rows = labelRows(labels, sheet);
  const groups = flagsOf(byPlace(labels), rows, h);
  const middles = spreadBy(
    groups.map(({ labels: own, width }) => {
      const wanted = own.reduce((total, { z }, index) => total + x(z) - index * APART * h, 0) / own.length;
      return { place: wanted + width / 2, width };
    }),
    h,
    h,
    sheet.width - h,
  );
  const towards = at.up ? -1 : 1;
  return groups.flatMap(({ labels: own, width }, group) =>
    own.flatMap(({ z, r, text, of, critical }, index): Mark[] => {
      const place = (middles[group] ?? 0) - width / 2 + index * APART * h;
      // Above, the flag furthest to the left is the highest; below, the lowest.
      const row = own.length - 1 - index;
      const knee = at.edge + towards * h * 0.9;
      const foot = knee + towards * h * (0.3 + row * ROW);
      return [
        line(
          'leader',
          [
            { x: x(z), y: y(r) },
            { x: place, y: knee },
            { x: place, y: foot + towards * h * 0.8 },
          ],
          of,
        ),
        {
          kind: 'text',
          x: place + h * 0.3,
          y: at.up ? foot - h * 0.1 : foot + h * 0.85,
          text,
          anchor: 'start',
          ...(critical ? { critical } : {}),
          of,
        },
      ];
    }),
  );
}

const labelRoom = (labels: Label[], sheet: Sheet): number =>
  labels.length === 0 ? 0 : sheet.textHeight * (1.6 + labelRows(labels, sheet) * ROW);

/** Stretch that a length needs on the sheet: its line, or its figure when that is wider. */
function stretchOf({ z0, z1, text }: Length, { x }: Frame, h: number) {
  const [a, b] = [Math.min(x(z0), x(z1)), Math.max(x(z0), x(z1))];
  const wide = textWidth(text, h);
  const middle = (a + b) / 2;
  return { from: Math.min(a, middle - wide / 2), upTo: Math.max(b, middle + wide / 2), a, b, middle };
}

function lengthMarks(lengths: Length[], frame: Frame, sheet: Sheet, from: number, below: number): Mark[] {
  const h = sheet.textHeight;
  const stretches = lengths.map((length) => stretchOf(length, frame, h));
  const rows = rowsOf(stretches, h * 0.6);
  return lengths.flatMap(({ text, of, critical }, index): Mark[] => {
    const stretch = stretches[index];
    if (!stretch) return [];
    const y = from + h * 1.45 * ((rows[index] ?? 0) + 1);
    const tick = h * 0.3;
    const arrow = (x: number, way: 1 | -1) =>
      line(
        'dimension',
        [
          { x: x + way * tick * 1.6, y: y - tick * 0.6 },
          { x, y },
          { x: x + way * tick * 1.6, y: y + tick * 0.6 },
        ],
        of,
      );
    return [
      ...[stretch.a, stretch.b].map((x) =>
        line(
          'dimension',
          [
            { x, y: below },
            { x, y: y + tick },
          ],
          of,
        ),
      ),
      line(
        'dimension',
        [
          { x: stretch.a, y },
          { x: stretch.b, y },
        ],
        of,
      ),
      arrow(stretch.a, 1),
      arrow(stretch.b, -1),
      {
        kind: 'text',
        x: stretch.middle,
        y: y - h * 0.25,
        text,
        anchor: 'middle',
        ...(critical ? { critical } : {}),
        of,
      },
    ];
  });
}

/** How many rows the lengths will take at a scale; known before the part has its place. */
const lengthRows = (lengths: Length[], scale: number, h: number): number =>
  1 +
  Math.max(
    -1,
    ...rowsOf(
      lengths.map((length) => stretchOf(length, { x: (z) => -z * scale, y: () => 0 }, h)),
      h * 0.6,
    ),
  );

/**
 * A dimensioned section of a part: both halves, its front at the right, as the operator sees it. Diameters and notes
 * stand above with leaders, those of the bore below, lengths in rows under it; nothing overlaps.
 */
export function drawPart(part: Part, units: UnitSystem, sheet: Sheet): Drawing {
  const { width, height, textHeight: h } = sheet;
  const { above, below, lengths } = written(part, units);
  const [top, middle] = [labelRoom(above, sheet), labelRoom(below, sheet)];
  const largest = largestDiameter(part);
  const side = h * 3.6;
  const roomFor = (scale: number) => top + middle + lengthRows(lengths, scale, h) * h * 1.45 + h * 2;
  const fits = (scale: number) => part.length * scale <= width - 2 * side && largest * scale <= height - roomFor(scale);
  const free = (() => {
    let scale = (width - 2 * side) / part.length;
    while (scale > 1e-3 && !fits(scale)) scale *= 0.97;
    return scale;
  })();
  const scale = sheet.scales ? (sheet.scales.find(fits) ?? sheet.scales.at(-1) ?? free) : free;
  const right = width / 2 + (part.length * scale) / 2;
  const spare = Math.max(0, height - roomFor(scale) - largest * scale);
  const axis = top + h + spare / 2 + (largest * scale) / 2;
  const frame: Frame = { x: (z) => right - z * scale, y: (r) => axis - r * scale };
  const under = axis + (largest / 2) * scale + h * 0.4;
  const over = axis - (largest / 2) * scale - h * 0.2;
  const critical = part.steps
    .filter((step) => step.critical)
    .flatMap(({ path, zFrom, zTo, diameter }) =>
      [1, -1].map((half) =>
        line(
          'critical',
          [
            { x: frame.x(zFrom), y: frame.y((half * diameter.nominal) / 2) },
            { x: frame.x(zTo), y: frame.y((half * diameter.nominal) / 2) },
          ],
          path,
        ),
      ),
    );
  return {
    width,
    height,
    textHeight: h,
    scale,
    marks: [
      ...bodyMarks(part, frame),
      ...surfaceMarks(part, frame),
      ...critical,
      line('axis', [
        { x: frame.x(part.length) - h, y: axis },
        { x: right + h, y: axis },
      ]),
      ...labelMarks(above, frame, sheet, { edge: over, up: true }),
      ...labelMarks(below, frame, sheet, { edge: under, up: false }),
      // Extension lines begin behind the labels of the bore, not through them.
      ...lengthMarks(lengths, frame, sheet, under + middle, under + middle - h * 0.2),
      { kind: 'text', x: right + h * 0.4, y: axis - h * 0.5, text: 'front', anchor: 'start' },
    ],
    shoulders: part.steps.map(({ zTo }, step) => {
      const r = largest / 2;
      return { x: frame.x(zTo), top: frame.y(r), bottom: frame.y(-r), step };
    }),
  };
}
