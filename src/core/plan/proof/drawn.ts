import type { Feature } from '../../model/part/feature';
import type { Hole, Part, Step } from '../../model/part/part';
import type { Size } from '../../model/part/size';
import type { Segment } from '../../model/workpiece/segment';
import type { Workpiece } from '../../model/workpiece/workpiece';
import { over, under } from './section/contour';
import { arcOf, level, lineOf, SAME, type Curve } from './section/curve';
import { difference, union, type Section } from './section/section';

/** The drawing as metal: all that its limits allow, and what they ask for at least. z of the part. */
export interface DrawnLimits {
  most: Section;
  least: Section;
}

/** A piece of a profile as a curve, its radius moved, mm. */
const curveOf = ({ z0, z1, r0, r1, arc }: Segment, by = 0): Curve =>
  arc ? arcOf(arc.z, arc.r + by, arc.radius, !arc.hollow) : lineOf(z0, r0 + by, z1, r1 + by);

/** Pieces side by side, each under its curve or over it. */
const sideBySide = (profile: readonly Segment[], by: number, side: typeof over): Section =>
  profile.flatMap((piece) => (piece.z1 - piece.z0 > SAME ? side(piece.z0, piece.z1, curveOf(piece, by)) : []));

/** Everything outside of a profile, and everything inside of one. */
const outsideOf = (profile: readonly Segment[], by = 0): Section => sideBySide(profile, by, over);
const insideOf = (profile: readonly Segment[], by = 0): Section => sideBySide(profile, by, under);

/** The work as two profiles, as a section. */
export const sectionOfWork = ({ outside, bore }: Workpiece): Section =>
  difference(insideOf(outside), insideOf(bore.filter(({ r0, r1 }) => r0 > 0 || r1 > 0)));

/** Radii nearer than this are one, mm. */
const NEAR = 1e-4;

/** How far a radius may be off the nominal one, mm: towards more metal outside, towards less in a bore. */
type Off = (size: Size | undefined) => number;
const upper: Off = (size) => (size ? size.upper / 2 : 0);
const lower: Off = (size) => (size ? size.lower / 2 : 0);

/** A 45° chamfer takes the triangle at its corner. */
function chamferCut({ z, size, end }: Part['chamfers'][number], radius: number): Section {
  const [from, to] = end === 'front' ? [z, z + size] : [z - size, z];
  const [r0, r1] = end === 'front' ? [radius - size, radius] : [radius, radius - size];
  return over(from, to, lineOf(from, r0, to, r1));
}

/** Seen from the end that a hole goes in at, as z of the part. */
const fromEnd =
  (from: Hole['from'], length: number) =>
  (a: number, b: number, curve: (z0: number, z1: number) => Curve): Section => {
    const [z0, z1] = from === 'front' ? [a, b] : [length - a, length - b];
    return under(Math.min(z0, z1), Math.max(z0, z1), curve(z0, z1));
  };

/** Where nothing is said of its end, a blind hole ends as a drill leaves it: at the most 90°, as deep as its radius. */
const pointCut = (from: Hole['from'], depth: number, radius: number, length: number): Section =>
  fromEnd(from, length)(depth, depth + radius, (z0, z1) => lineOf(z0, radius, z1, 0));

function holeCut({ from, depth, diameter, through }: Hole, length: number, off: number, silent: boolean): Section[] {
  const radius = diameter.nominal / 2 + off;
  const straight = fromEnd(from, length)(0, depth, () => level(radius));
  return [straight, ...(silent && !through ? [pointCut(from, depth, radius, length)] : [])];
}

/** Bored and sunk holes have a flat bottom. */
const FLAT: readonly string[] = ['bore', 'counterbore', 'inner-groove'];

/** A tap wants room for its lead; where no hole is drawn for it, so many pitches at most (textbook, taper tap). */
const LEAD = 10;

/** What may lie behind the inner end of a bore of which the drawing says nothing more. */
function silentEnd(feature: Feature, length: number, corner: number, off: number): Section[] {
  const { kind, bore, from, z0, z1, thread } = feature;
  const deep = from === 'front' ? z1 : length - z0;
  const narrow = from === 'front' ? bore?.at(-1)?.r1 : bore?.[0]?.r0;
  if (!from || !narrow || FLAT.includes(kind) || deep > length - SAME) return [];
  // What is tapped goes on as wide as its core is; a nose reaches a little beyond where its flank ends.
  const end = narrow + (thread ? off : 0);
  const lead = thread ? LEAD * thread.pitch : corner;
  return [
    ...(lead > 0 ? [fromEnd(from, length)(deep, Math.min(deep + lead, length), () => level(end))] : []),
    pointCut(from, deep + lead, end, length),
  ];
}

/** A core hole so many pitches over d − P still gives 60 % of a thread (textbook, tap drills). */
const CORE_OVER = 0.22;

/** How far the profile of a bore is moved for a limit of its diameter: from where its straight piece stands. */
function boreOff({ bore = [], size, thread }: Feature, off: Off): number {
  if (thread) return off === upper ? (CORE_OVER * thread.pitch) / 2 : 0;
  const straight = bore.find(({ r0, r1 }) => r0 === r1);
  return size && straight ? size.nominal / 2 + off(size) - straight.r0 : off(size);
}

/** A fillet stands on the step that it runs out on, and moves with its limits. */
function offOfLowest(leaves: readonly Segment[], steps: readonly Step[], outer: Off): number {
  const lowest = Math.min(...leaves.flatMap(({ r0, r1 }) => [r0, r1]));
  const step = steps.find(({ diameter }) => Math.abs(diameter.nominal / 2 - lowest) < NEAR);
  return step ? outer(step.diameter) : 0;
}

/** What a vee is cut into may stand higher on one side of it, as on a cone: its flanks go on through that. */
function openVee({ kind, outside = [] }: Feature): readonly Segment[] {
  const [first, last] = [outside[0], outside.at(-1)];
  if (kind !== 'vee' || !first || !last) return outside;
  const on = ({ z0, z1, r0, r1 }: Segment, z: number) => r0 + ((r1 - r0) * (z - z0)) / (z1 - z0);
  const far = first.z1 - first.z0;
  const before = { ...first, z0: first.z0 - far, z1: first.z0, r0: on(first, first.z0 - far), r1: first.r0 };
  const after = { ...last, z0: last.z1, z1: last.z1 + far, r0: last.r1, r1: on(last, last.z1 + far) };
  return [before, ...outside, after];
}

/** A groove in a face: between its walls, of which the inner is an outside, down to its bottom. */
function inFaceCut(
  { z0, z1, from = 'front', deep, inFace }: Feature,
  length: number,
  [outer, inner]: [Off, Off],
): Section[] {
  if (!inFace) return [];
  const depth = (deep?.nominal ?? z1 - z0) + 2 * inner(deep);
  const within = (radius: number) => fromEnd(from, length)(0, depth, () => level(radius));
  const post = within(inFace.inner.nominal / 2 + outer(inFace.inner));
  return [difference(within(inFace.outer.nominal / 2 + inner(inFace.outer)), post)];
}

function metalOf(
  part: Part,
  made: (path: string) => boolean,
  [outer, inner]: [Off, Off],
  silent: boolean,
  corner: number,
): Section {
  const { steps, chamfers, holes, length } = part;
  const features = part.features.filter(({ path }) => made(path));
  const radiusOf = ({ diameter }: Step) => diameter.nominal / 2 + outer(diameter);
  const turned = steps.flatMap((step) => under(step.zFrom, step.zTo, level(radiusOf(step))));
  const left = features.reduce<Section>(
    (metal, { leaves }) => (leaves ? union(metal, insideOf(leaves, offOfLowest(leaves, steps, outer))) : metal),
    turned,
  );
  const corners = chamfers
    .filter(({ path }) => made(path))
    .map((chamfer) => {
      const step = steps.find(({ path }) => path === chamfer.step);
      return chamferCut(chamfer, step ? radiusOf(step) : 0);
    });
  const cutOf = (feature: Feature): Section[] => [
    ...inFaceCut(feature, length, [outer, inner]),
    ...(feature.outside ? [outsideOf(silent ? openVee(feature) : feature.outside, outer(feature.size))] : []),
    ...(feature.bore
      ? [
          insideOf(feature.bore, boreOff(feature, inner)),
          ...(silent ? silentEnd(feature, length, corner, boreOff(feature, inner)) : []),
        ]
      : []),
  ];
  const drilled = holes
    .filter(({ path }) => made(path))
    .flatMap((hole) => holeCut(hole, length, inner(hole.diameter), silent));
  return [...corners, ...features.flatMap(cutOf), ...drilled].reduce<Section>(
    (metal, cut) => difference(metal, cut),
    left,
  );
}

/** A centre hole that an operation leaves in a face: of which the drawing says nothing, and which a centre wants. */
export interface CentreHole {
  end: 'front' | 'back';
  depth: number;
  diameter: number;
}

/**
 * What the drawing allows, from its own figures alone.
 * @param corner radius of the nose that inner corners are cut with where the drawing says nothing, mm
 * @param made paths of what is made: a feature that no operation makes is not asked for
 */
export function drawnLimits(
  part: Part,
  made: ReadonlySet<string>,
  centres: readonly CentreHole[],
  corner: number,
): DrawnLimits {
  const isMade = (path: string) => made.has(path);
  // A bore that nothing makes may be there in part: the hole of a tube, a drill that another tool would have followed.
  const inside = new Set([...part.features.filter(({ bore }) => bore), ...part.holes].map(({ path }) => path));
  const mayBe = (path: string) => made.has(path) || inside.has(path);
  return {
    most: metalOf(part, isMade, [upper, lower], false, corner),
    least: centres.reduce<Section>(
      (metal, { end, depth, diameter }) =>
        difference(
          metal,
          fromEnd(end, part.length)(0, depth, () => level(diameter / 2)),
        ),
      metalOf(part, mayBe, [lower, upper], true, corner),
    ),
  };
}
