import type { Part } from '../model/part/part';
import { finishedPart } from '../model/workpiece/finishedPart';
import type { Workpiece } from '../model/workpiece/workpiece';
import type { Segment, Profile } from '../model/workpiece/segment';
import type { Corner, LineUse, Mark } from './marks';
import { line, type Frame } from './sheet';

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

/** The metal of a part and its edges. */
export const bodyMarks = (part: Part, frame: Frame): Mark[] => workMarks(finishedPart(part), frame);

/** The metal of any work and its edges. */
export function workMarks({ outside, bore }: Workpiece, frame: Frame): Mark[] {
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
  const [first, last] = [outside[0], outside.at(-1)];
  const ends = [
    ...(first ? [across(first.z0, first.r0, 'outline')] : []),
    ...(last ? [across(last.z1, last.r1, 'outline')] : []),
  ];
  const edges = outside
    .slice(1)
    .map(({ z0 }, index) => across(z0, Math.max(outside[index]?.r1 ?? 0, outside[index + 1]?.r0 ?? 0), 'edge'));
  const steps = open.flatMap(({ z0, z1, r0, r1 }) => [across(z0, r0, 'edge'), across(z1, r1, 'edge')]);
  return [...halves, ...edges, ...steps, ...ends];
}
