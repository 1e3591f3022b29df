import type { EdgePlace } from '../../model/plan/edgeWay';
import { apart, distance, sweptAlong, type Box, type Point } from './bodies/convex';
import type { FixedBody } from './bodies/fixed';
import type { BodyPiece, EdgeBody, ToolShape } from './bodies/shapes';
import { over, under } from './section/contour';
import { arcOf, level, radiusAt } from './section/curve';
import { comesNear, cutBy, difference, highAt, intersection, lowAt, metBy, type Section } from './section/section';
import { boxOnWay, sectionsOf, sweptSections } from './sweep';

/** Farther than any work, mm. */
const FAR = 1e4;

/** Less than this is no meeting, mm. */
export const TOUCH = 0.001;

/** The largest piece that two bodies have in common: how thick it is the thinner way, and where. z of the set-up, mm. */
export interface Meeting {
  by: number;
  z: number;
  r: number;
}

const meetingsIn = (section: Section): Meeting[] =>
  section.flatMap(({ z0, z1, bands }) =>
    bands.map(({ low, high }) => {
      const thick = [z0, (z0 + z1) / 2, z1].map((z) => radiusAt(high, z) - radiusAt(low, z));
      const z = (z0 + z1) / 2;
      return { by: Math.min(z1 - z0, Math.max(...thick)), z, r: radiusAt(high, z) };
    }),
  );

const worst = (meetings: readonly Meeting[]): Meeting | undefined =>
  meetings.filter(({ by }) => by > TOUCH).sort((a, b) => b.by - a.by)[0];

/** Whether metal comes near what a body goes over; what is beyond the axis counts on this side. */
function isNear(metal: Section, body: Box, from: Point, to: Point): boolean {
  const { z0, z1, r0, r1 } = boxOnWay(body, from, to);
  return comesNear(metal, z0, z1, Math.max(0, r0), Math.max(r1, -r0));
}

/** Where a body on a straight way meets metal. */
const meets = ({ polygon, box }: BodyPiece, metal: Section, from: Point, to: Point): Meeting | undefined =>
  isNear(metal, box, from, to)
    ? worst(sectionsOf(sweptAlong(polygon, from, to)).flatMap((swept) => meetingsIn(metBy(metal, swept))))
    : undefined;

/** The same of a piece of an edge. */
const edgeMeets = ({ piece, box }: EdgeBody, metal: Section, from: Point, to: Point): Meeting | undefined =>
  isNear(metal, box, from, to)
    ? worst(sweptSections(piece, from, to).flatMap((swept) => meetingsIn(metBy(metal, swept))))
    : undefined;

/** What an edge leaves on a straight way. */
function cutOnWay(edge: readonly EdgeBody[], metal: Section, from: Point, to: Point): Section {
  let left = metal;
  for (const { piece, box } of edge)
    if (isNear(left, box, from, to)) for (const swept of sweptSections(piece, from, to)) left = cutBy(left, swept);
  return left;
}

/** What a file leaves that follows an arc by hand: nothing over it. */
function filed(metal: Section, from: EdgePlace, to: EdgePlace): Section {
  const { round } = to;
  if (!round) return metal;
  const radius = Math.hypot(from.z - round.z, from.r - round.r);
  const above = round.way === 'left' ? from.z > to.z : from.z < to.z;
  const [z0, z1] = [Math.min(from.z, to.z), Math.max(from.z, to.z)];
  return cutBy(metal, over(z0, z1, arcOf(round.z, round.r, radius, above)));
}

/** What a place of the work lost in a cut, outside or in its bore, mm. */
function lostAt(z: number, before: Section, after: Section): number {
  const under = (section: Section) => section.find(({ z0, z1 }) => z0 <= z && z <= z1);
  const [was, is] = [under(before), under(after)];
  if (!was) return 0;
  if (!is) return highAt(was, z) - lowAt(was, z);
  return Math.max(highAt(was, z) - highAt(is, z), lowAt(is, z) - lowAt(was, z));
}

/** The greatest depth of a cut between two places: the most that any place of the work lost, mm. */
export function depthBetween(z0: number, z1: number, before: Section, after: Section): number {
  const reached = (section: Section) => section.filter((slab) => slab.z0 < z1 && slab.z1 > z0);
  const [was, is] = [reached(before), reached(after)];
  const places = [z0, z1];
  for (const slab of [...was, ...is]) for (const z of [slab.z0, slab.z1]) if (z > z0 && z < z1) places.push(z);
  places.sort((a, b) => a - b);
  let most = 0;
  for (let index = 1; index < places.length; index += 1) {
    const middle = ((places[index - 1] as number) + (places[index] as number)) / 2;
    most = Math.max(most, lostAt(middle, was, is));
  }
  return most;
}

/** How much of its length the work lost, mm. */
export const lengthLost = (before: Section, after: Section): number => (after[0]?.z0 ?? 0) - (before[0]?.z0 ?? 0);

/** One move of a tool: what it leaves, and what its body or, at rapid, any of it met. */
export interface Moved {
  left: Section;
  met: Meeting | undefined;
}

const largest = (meetings: readonly (Meeting | undefined)[]): Meeting | undefined =>
  worst(meetings.flatMap((meeting) => meeting ?? []));

/** Moves a tool straight from one place to the next through the metal that is there. Drawn out of a thread its edge stands in the turn that it cut. */
export function move({ edge, body }: ToolShape, metal: Section, from: EdgePlace, to: EdgePlace): Moved {
  if (to.by === 'hand') return { left: filed(metal, from, to), met: undefined };
  const left = to.by === undefined ? cutOnWay(edge, metal, from, to) : metal;
  const bodies = body.map((part) => meets(part, left, from, to));
  const beside = from.by === 'thread' ? cutOnWay(edge, metal, from, from) : metal;
  const edges = to.by === 'rapid' ? edge.map((piece) => edgeMeets(piece, beside, from, to)) : [];
  return { left, met: largest([...bodies, ...edges]) };
}

/** Everything within a radius. */
const insideOf = (radius: number): Section => under(-FAR, FAR, level(radius));

/** What the edge of a helix meets farther out than its thread, mm. */
export const meetsBeyond = (radius: number, { edge }: ToolShape, metal: Section, from: Point, to: Point) =>
  largest(edge.map((piece) => edgeMeets(piece, difference(metal, insideOf(radius)), from, to)));

/** What the edge of a helix meets nearer to the axis, mm. */
export const meetsWithin = (radius: number, { edge }: ToolShape, metal: Section, from: Point, to: Point) =>
  largest(edge.map((piece) => edgeMeets(piece, intersection(metal, insideOf(radius)), from, to)));

/** How near a tool on a straight way comes to what stands still, where that is nearer than what is known already. */
export function nearer(
  { edge, body }: ToolShape,
  fixed: readonly FixedBody[],
  [from, to]: [Point, Point],
  known: (name: string) => number,
): { body: FixedBody; distance: number }[] {
  const nearest = fixed.map(({ name }) => known(name));
  const before = [...nearest];
  const look = ({ polygon, box }: BodyPiece) => {
    const way = boxOnWay(box, from, to);
    for (const [index, still] of fixed.entries())
      if (apart(way, still.box) < (nearest[index] as number))
        nearest[index] = Math.min(nearest[index] as number, distance(sweptAlong(polygon, from, to), still.polygon));
  };
  edge.forEach(look);
  body.forEach(look);
  return fixed.flatMap((still, index) => {
    const is = nearest[index] as number;
    return is < (before[index] as number) ? [{ body: still, distance: is }] : [];
  });
}
