import type { ToolStands } from '../../../model/plan/edgeWay';
import { boringBarSize, standsOut } from '../../../model/shop/boringBar';
import type { Bodies, Tool } from '../../../model/shop/shop';
import { boxOf, hullOf, rectangle, type Box, type Point, type Polygon } from './convex';

/** A round edge, or the hollow of one. */
export interface Disc extends Point {
  radius: number;
}

/**
 * What cuts: a convex piece, a round nose, or a rectangle with a hollow in it. A nose that is `tangent` lies within the
 * convex piece beside it but for its corner, so that along the axis and square to it that piece cuts what it does.
 */
export type EdgePiece = { polygon: Polygon } | { disc: Disc; tangent?: true } | { hollow: Disc; polygon: Polygon };

/** A piece of an edge in what goes straight about it, and a piece of the body. */
export interface EdgeBody {
  piece: EdgePiece;
  polygon: Polygon;
  box: Box;
}
export type BodyPiece = Omit<EdgeBody, 'piece'>;

/** A tool about its reference point (model/plan/edgeWay): what cuts, and what must touch nothing. mm */
export interface ToolShape {
  edge: readonly EdgeBody[];
  body: readonly BodyPiece[];
  /** It shapes a helix or a pattern, and takes no more metal than that. */
  spares?: true;
}

/** What a tool is made of, before its boxes are known. */
interface Pieces {
  edge: readonly EdgePiece[];
  body: readonly Polygon[];
  spares?: true;
}

/** So many sides about a nose; those square to the axes touch it. */
const SIDES = 16;

/** What goes straight about a piece of an edge. */
const aboutPiece = (piece: EdgePiece): Polygon => {
  if (!('disc' in piece)) return piece.polygon;
  const { z, r, radius } = piece.disc;
  const out = radius / Math.cos(Math.PI / SIDES);
  return Array.from({ length: SIDES }, (_, side) => {
    const angle = ((2 * side + 1) * Math.PI) / SIDES;
    return { z: z + out * Math.cos(angle), r: r + out * Math.sin(angle) };
  });
};

const boxed = (polygon: Polygon): BodyPiece => ({ polygon, box: boxOf(polygon) });

/** A blade is so much thinner behind its edge, a bar so much shorter than it: what cuts stands proud, mm a side (ours). */
const RELIEF = 0.02;
const PROUD = 0.1;

const radians = (degrees: number) => (degrees * Math.PI) / 180;

const mirroredAlong = (polygon: Polygon): Polygon => polygon.map(({ z, r }) => ({ z: -z, r })).toReversed();
const inwards = (polygon: Polygon): Polygon => polygon.map(({ z, r }) => ({ z, r: -r })).toReversed();

/** Turned about the reference point, degrees to the left. */
function turnedBy(polygon: Polygon, degrees: number): Polygon {
  const [c, s] = [Math.cos(radians(degrees)), Math.sin(radians(degrees))];
  return polygon.map(({ z, r }) => ({ z: z * c - r * s, r: z * s + r * c }));
}

/** An edge with a nose: square to the axis towards the chuck, rising behind its tip. */
function nosed(nose: number, long: number, trail: number): EdgePiece[] {
  const [c, s] = [Math.cos(radians(trail)), Math.sin(radians(trail))];
  const touch = { z: -nose - nose * s, r: nose - nose * c };
  const far = { z: touch.z - long * c, r: touch.r + long * s };
  const polygon = hullOf([{ z: 0, r: nose }, { z: 0, r: long }, far, touch, { z: -nose, r: 0 }]);
  return [{ polygon }, ...(nose > 0 ? [{ disc: { z: -nose, r: nose, radius: nose }, tangent: true as const }] : [])];
}

/** Shank and post over an edge that reaches out so far. */
const shankOver = (from: number, ahead: number, { shank, post }: Bodies): Polygon =>
  rectangle(ahead - shank, ahead, from, from + post);

function turning({ nose = 0, slope, ahead = -PROUD }: Tool, bodies: Bodies): Pieces {
  const trail = slope ?? bodies.trail;
  const { edge, shank, post } = bodies;
  const back = Math.max(edge, shank * Math.tan(radians(trail)));
  return {
    edge: nosed(nose, edge, trail),
    body: [
      hullOf([
        { z: ahead, r: edge },
        { z: ahead, r: edge + post },
        { z: -shank, r: edge + post },
        { z: -shank, r: back },
      ]),
    ],
  };
}

/** A bar stands out of its holder as far as it goes deep; its back lies opposite to its edge. */
function boringBar(tool: Tool, { barEnd }: Bodies): Pieces {
  const { nose = 0, deep = 0, ahead = -barEnd } = tool;
  const { proud, back } = boringBarSize(tool);
  return {
    edge: nosed(nose, proud, 45).map((piece) =>
      'disc' in piece ? { ...piece, disc: { ...piece.disc, r: -piece.disc.r } } : { polygon: inwards(piece.polygon) },
    ),
    body: [rectangle(-deep, ahead, -back, -proud)],
  };
}

const bladeShape = ({ width = 0, reach = 0, holder = 0 }: Tool, { post }: Bodies): Pieces => ({
  edge: [{ polygon: rectangle(0, width, 0, PROUD) }],
  body: [rectangle(RELIEF, width - RELIEF, PROUD, reach), rectangle(-holder, width + holder, reach, reach + post)],
});

/** A blade along the axis into a face, its inner corner the reference. */
const faceBlade = ({ width = 0, reach = 0 }: Tool, { post }: Bodies): Pieces => ({
  edge: [{ polygon: rectangle(-PROUD, 0, 0, width) }],
  body: [rectangle(-reach - post, -PROUD, RELIEF, width - RELIEF)],
});

const insideBlade = ({ width = 0, reach = 0, least = 0, deep = 0 }: Tool): Pieces => ({
  edge: [{ polygon: rectangle(0, width, -PROUD, 0) }],
  body: [rectangle(RELIEF, width - RELIEF, -reach, -PROUD), rectangle(-deep, width - RELIEF, RELIEF - least, -reach)],
});

/** A pointed edge straight in: both flanks at half of its angle from square to the axis. */
function pointed({ point = 60, ahead, width }: Tool, bodies: Bodies, stands: ToolStands): Pieces {
  const slant = width ?? bodies.edge;
  const half = ahead ?? slant * Math.sin(radians(point / 2));
  const high = half / Math.tan(radians(point / 2));
  const edge = hullOf([
    { z: 0, r: 0 },
    { z: half, r: high },
    { z: -half, r: high },
  ]);
  return {
    edge: [{ polygon: turnedBy(edge, stands.turned ?? 0) }],
    body: [turnedBy(rectangle(-half, half, high, high + bodies.post), stands.turned ?? 0)],
  };
}

/** The same into the wall of a bore, at the end of a bar. */
function pointedInside(tool: Tool): Pieces {
  const { ahead = 0, diameter = 0, deep = 0 } = tool;
  const high = standsOut(tool);
  const edge = hullOf([
    { z: 0, r: 0 },
    { z: ahead, r: high },
    { z: -ahead, r: high },
  ]);
  return { edge: [{ polygon: inwards(edge) }], body: [rectangle(-deep, ahead, -high - diameter, -high)] };
}

/** A straight edge, its low end at the free end or, for what looks at the chuck, towards it. */
function straightEdge({ width = 0 }: Tool, bodies: Bodies, { turned = 0, towardsChuck }: ToolStands): Pieces {
  const end = { z: width * Math.cos(radians(turned)), r: width * Math.sin(radians(turned)) };
  const edge = hullOf([{ z: 0, r: 0 }, end, { z: end.z, r: end.r + PROUD }, { z: 0, r: end.r + PROUD }]);
  const body = rectangle(0, end.z, end.r + PROUD, end.r + bodies.post);
  const seen = towardsChuck ? mirroredAlong : (polygon: Polygon) => polygon;
  return { edge: [{ polygon: seen(edge) }], body: [seen(body)] };
}

/** A hollow edge rounds one corner; its reference point is the middle of the hollow. */
function hollowEdge(radius: number, bodies: Bodies, { towardsChuck }: ToolStands): Pieces {
  const [z0, z1] = towardsChuck ? [0, radius] : [-radius, 0];
  const high = radius + PROUD;
  return {
    edge: [{ hollow: { z: 0, r: 0, radius }, polygon: rectangle(z0, z1, 0, high) }],
    body: [rectangle(z0, z1, high, high + bodies.post)],
  };
}

const roundNose = (nose: number, ahead: number | undefined, bodies: Bodies): Pieces => ({
  edge: [
    { disc: { z: -nose, r: nose, radius: nose } },
    { polygon: rectangle(-2 * nose, 0, nose, Math.max(bodies.edge, 2 * nose)) },
  ],
  body: [shankOver(Math.max(bodies.edge, 2 * nose), ahead ?? 0, bodies)],
});

/** What goes in along the axis: a point of so many degrees at the end of a flute, in a chuck. */
function onAxis({ diameter = 0, flute = 0 }: Tool, point: number, { drillChuck }: Bodies): Pieces {
  const radius = diameter / 2;
  const tip = radius / Math.tan(radians(point / 2));
  return {
    edge: [
      {
        polygon: hullOf([
          { z: 0, r: 0 },
          { z: -tip, r: radius },
          { z: -Math.max(flute, tip), r: radius },
          { z: -Math.max(flute, tip), r: 0 },
        ]),
      },
    ],
    body: [rectangle(-Math.max(flute, tip) - drillChuck, -Math.max(flute, tip), 0, drillChuck / 2)],
  };
}

/** A reamer cuts with its lead alone, and not in the middle. */
function reamerShape({ diameter = 0, flute = 0 }: Tool, { drillChuck, reamerLead }: Bodies): Pieces {
  const core = Math.max(0, diameter / 2 - reamerLead);
  return {
    edge: [{ polygon: rectangle(-flute, 0, core, diameter / 2) }],
    body: [rectangle(-flute, -RELIEF, 0, core), rectangle(-flute - drillChuck, -flute, 0, drillChuck / 2)],
  };
}

/** A tap's core follows its hole; its teeth cut the helix. */
const tapShape = ({ pitch = 0, diameter = 0 }: Tool, { drillChuck }: Bodies, turnsIn: number): Pieces => ({
  edge: [],
  body: [
    rectangle(-turnsIn, 0, 0, Math.max(0, diameter / 2 - pitch)),
    rectangle(-turnsIn - drillChuck, -turnsIn, 0, drillChuck / 2),
  ],
  spares: true,
});

const dieShape = ({ diameter = 0 }: Tool, { dieHolder, wheel }: Bodies): Pieces => ({
  edge: [],
  body: [rectangle(-wheel, 0, diameter / 2, dieHolder / 2)],
  spares: true,
});

const knurlShape = ({ wheel, shank, post }: Bodies): Pieces => ({
  edge: [],
  body: [rectangle(-wheel, 0, 0, shank), rectangle(-wheel - RELIEF, RELIEF, shank, shank + post)],
  spares: true,
});

/** The pieces of a tool by what it is; undefined for what is done by hand. */
function piecesOf(tool: Tool, bodies: Bodies, stands: ToolStands): Pieces | undefined {
  const does = (kind: string) => tool.does.includes(kind);
  const { diameter = 0, flute = bodies.flutes * diameter } = tool;
  if (tool.mount === 'hand') return undefined;
  if (does('tap')) return tapShape(tool, bodies, flute);
  if (does('die')) return dieShape(tool, bodies);
  if (does('ream')) return reamerShape({ ...tool, flute }, bodies);
  if (tool.mount === 'tailstock') return onAxis({ ...tool, flute }, tool.point ?? 118, bodies);
  if (does('knurl')) return knurlShape(bodies);
  if (does('inner-thread')) return pointedInside(tool);
  if (does('face-groove')) return faceBlade(tool, bodies);
  if (tool.least !== undefined) return tool.width === undefined ? boringBar(tool, bodies) : insideBlade(tool);
  if (tool.reach !== undefined) return bladeShape(tool, bodies);
  if (tool.hollowEdge !== undefined) return hollowEdge(tool.hollowEdge, bodies, stands);
  if (does('edge-cone')) return straightEdge(tool, bodies, stands);
  if (does('chamfer')) return pointed({ ...tool, point: tool.point ?? 90 }, bodies, stands);
  if (tool.point !== undefined) return pointed(tool, bodies, stands);
  if (does('form') && tool.nose !== undefined) return roundNose(tool.nose, tool.ahead, bodies);
  return turning(tool, bodies);
}

/**
 * Edge and body of a tool, from its own figures and those of the shop (trade: Clearance).
 * @returns undefined for what is done by hand
 */
export function shapeOf(tool: Tool, bodies: Bodies, stands: ToolStands = {}): ToolShape | undefined {
  const pieces = piecesOf(tool, bodies, stands);
  return (
    pieces && {
      ...pieces,
      edge: pieces.edge.map((piece) => ({ piece, ...boxed(aboutPiece(piece)) })),
      body: pieces.body.map(boxed),
    }
  );
}
