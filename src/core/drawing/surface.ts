import type { Feature } from '../model/part/feature';
import type { Part } from '../model/part/part';
import { threadDepth } from '../model/part/thread';
import { finishedPart } from '../model/workpiece/finishedPart';
import { radiusAt } from '../model/workpiece/profile';
import type { LineUse, Mark } from './marks';
import { line, type Frame } from './sheet';

/** A line from one place to another, in z and radius; radii below the axis are negative. */
type Draw = (use: LineUse, from: readonly [z: number, r: number], to: readonly [z: number, r: number]) => Mark;

/** A thin line at the root, on both sides of the axis. */
function threadMarks({ thread, bore, z0, z1 }: Feature, draw: Draw): Mark[] {
  if (!thread) return [];
  const root = bore ? thread.diameter / 2 : thread.diameter / 2 - threadDepth(thread);
  return [root, -root].map((r) => draw('thread', [z0, r], [z1, r]));
}

/** A crossed field. */
const flatMarks = ({ flats, z0, z1 }: Feature, surface: number, draw: Draw): Mark[] =>
  flats ? [1, -1].map((half) => draw('thread', [z0, half * surface], [z1, -half * surface])) : [];

/** Leaning lines along the edge; straight teeth lie along the axis and show as lines across a strip of the surface. */
function knurlMarks({ knurl, z0, z1 }: Feature, surface: number, draw: Draw): Mark[] {
  if (!knurl) return [];
  const teeth = Math.min(24, Math.max(3, Math.round((z1 - z0) / knurl.pitch)));
  const lean = (z1 - z0) / teeth;
  const leans = knurl.pattern === 'diamond' ? [lean, -lean] : [0];
  return Array.from({ length: teeth }, (_, index) => z0 + ((z1 - z0) * (index + 0.5)) / teeth).flatMap((z) =>
    [1, -1].flatMap((half) =>
      leans.map((by) => draw('thread', [z - by / 2, half * surface], [z + by / 2, half * surface * 0.78])),
    ),
  );
}

/** The walls of a hole across the axis, its bottom where it has one, and its own axis. */
function crossMarks({ cross, z0, z1 }: Feature, surface: number, draw: Draw): Mark[] {
  if (!cross) return [];
  const end = cross.depth === undefined ? -surface : surface - cross.depth;
  const middle = (z0 + z1) / 2;
  const past = 0.15 * surface;
  return [
    ...[z0, z1].map((z) => draw('hidden', [z, surface], [z, end])),
    ...(cross.depth === undefined ? [] : [draw('hidden', [z0, end], [z1, end])]),
    draw('axis', [middle, surface + past], [middle, end - past]),
  ];
}

/** The walls and the bottom of a groove in a face, hidden behind the metal around it. */
function faceMarks({ inFace, from, z0, z1 }: Feature, draw: Draw): Mark[] {
  if (!inFace) return [];
  const bottom = from === 'back' ? z0 : z1;
  const [inner, outer] = [inFace.inner.nominal / 2, inFace.outer.nominal / 2];
  return [1, -1].flatMap((half) => [
    ...[inner, outer].map((r) => draw('hidden', [z0, half * r], [z1, half * r])),
    draw('hidden', [bottom, half * inner], [bottom, half * outer]),
  ]);
}

/** What drawings show on a surface: threads, flats, knurls, holes across, grooves in a face. */
export function surfaceMarks(part: Part, { x, y }: Frame): Mark[] {
  const { outside } = finishedPart(part);
  return part.features.flatMap((feature): Mark[] => {
    const draw: Draw = (use, from, to) =>
      line(
        use,
        [from, to].map(([z, r]) => ({ x: x(z), y: y(r) })),
        feature.path,
      );
    const surface = radiusAt(outside, (feature.z0 + feature.z1) / 2);
    return [
      ...threadMarks(feature, draw),
      ...flatMarks(feature, surface, draw),
      ...knurlMarks(feature, surface, draw),
      ...crossMarks(feature, surface, draw),
      ...faceMarks(feature, draw),
    ];
  });
}
