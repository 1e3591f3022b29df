import DxfParser, { type IDxf, type IEntity } from 'dxf-parser';
import { good, refuse, type Result } from '../model/result';
import { MM_PER_INCH, type UnitSystem } from '../model/units/length';
import type { Lines } from '../read/lines';

/** What the drawing did not say, said by whoever brings it in. */
export interface DxfChoices {
  units?: UnitSystem;
  /** y of the axis, in the units of the drawing; without it, a centre line or the lowest line is taken. */
  axis?: number;
}

/** A part read from a drawing: its entries in mm, and what was done and not understood, in words. */
export interface DxfPart extends Lines {
  told: string[];
}

/** A straight piece or an arc of the half profile: z from the front, radius, mm. */
interface Piece {
  z0: number;
  z1: number;
  r0: number;
  r1: number;
  /** Radius of an arc, and whether it bulges outwards. */
  arc?: { radius: number; hollow: boolean };
}

/** Gaps up to this are closed, mm. */
const GAP = 0.05;
const TINY = 1e-4;

/** More steps than a run file takes. */
const MOST = 200;

/** A half profile has some dozens of lines; a drawing with more than these is one of something else. */
const MOST_EDGES = 5000;
const LARGEST = 8_000_000;

/** No drawing reaches farther, in its own units; figures beyond would not stay figures. */
const FARTHEST = 1e6;

type Point = { x: number; y: number };
type Edge = { from: Point; to: Point; bulge: number };

/** Header codes of $INSUNITS. */
const UNITS: Record<number, number> = { 1: MM_PER_INCH, 4: 1, 5: 10 };

const arcEdge = ({
  center,
  radius,
  startAngle,
  endAngle,
}: {
  center: Point;
  radius: number;
  startAngle: number;
  endAngle: number;
}): Edge => {
  const at = (angle: number) => ({ x: center.x + radius * Math.cos(angle), y: center.y + radius * Math.sin(angle) });
  const turn = (((endAngle - startAngle) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
  return { from: at(startAngle), to: at(endAngle), bulge: Math.tan(turn / 4) };
};

/** The edges of an entity; undefined when it is none that a profile is made of. */
function edgesOf(entity: IEntity): Edge[] | undefined {
  const shape = entity as unknown as {
    vertices?: (Point & { bulge?: number })[];
    shape?: boolean;
    center?: Point;
    radius?: number;
    startAngle?: number;
    endAngle?: number;
  };
  if (entity.type === 'ARC' && shape.center)
    return [
      arcEdge({
        center: shape.center,
        radius: shape.radius ?? 0,
        startAngle: shape.startAngle ?? 0,
        endAngle: shape.endAngle ?? 0,
      }),
    ];
  if (!['LINE', 'LWPOLYLINE', 'POLYLINE'].includes(entity.type) || !shape.vertices) return undefined;
  const { vertices } = shape;
  const edges = vertices.slice(1).map((to, index) => ({
    from: vertices[index] as Point,
    to: to as Point,
    bulge: vertices[index]?.bulge ?? 0,
  }));
  const [first, last] = [vertices[0], vertices.at(-1)];
  return shape.shape && first && last && vertices.length > 2
    ? [...edges, { from: last, to: first, bulge: last.bulge ?? 0 }]
    : edges;
}

const isCentreLine = ({ layer = '', lineType = '' }: IEntity) => /cent(er|re)|axis/i.test(`${layer} ${lineType}`);

function parse(text: string): Result<IDxf> {
  if (text.length > LARGEST)
    return refuse(
      'dxf',
      `has ${(text.length / 1e6).toFixed(0)} million characters, and ${LARGEST / 1e6} are read: put out the half profile alone`,
    );
  if (!/\bSECTION\b/.test(text)) return refuse('dxf', 'is not a DXF drawing: it has no sections');
  try {
    const dxf = new DxfParser().parseSync(text);
    if (!dxf) return refuse('dxf', 'holds nothing that can be read');
    return Array.isArray(dxf.entities)
      ? good(dxf)
      : refuse('dxf', 'has no section ENTITIES, in which its lines would be: put it out again as a whole');
  } catch (error) {
    const cutOff = error instanceof Error && /end of (input|file)|EOF/i.test(error.message);
    return refuse('dxf', `is broken: ${cutOff ? 'it stops before its end' : 'it does not read'}; put it out again`);
  }
}

/** y of the axis: as pointed at, of a level centre line, or the lowest of the drawing. */
function axisOf(dxf: IDxf, edges: Edge[], choices: DxfChoices, told: string[]): number {
  if (choices.axis !== undefined) return choices.axis;
  const level = dxf.entities
    .filter(isCentreLine)
    .flatMap((entity) => edgesOf(entity) ?? [])
    .find(({ from, to }) => Math.abs(from.y - to.y) < TINY && Math.abs(from.x - to.x) > TINY);
  if (level) return level.from.y;
  const lowest = Math.min(...edges.flatMap(({ from, to }) => [from.y, to.y]));
  told.push(`no centre line was found: the lowest line, at y ${Number(lowest.toFixed(4))}, is taken for the axis`);
  return lowest;
}

/** Edges above the axis as pieces over z; the front is the right end. Faces across the axis are left out. */
function piecesOf(edges: Edge[], axis: number, scale: number, told: string[]): Piece[] {
  const above = edges.filter(({ from, to }) => Math.min(from.y, to.y) > axis - TINY);
  const below = edges.length - above.length;
  if (below > 0) told.push(`${below} lines below the axis are left out: half a profile is enough`);
  const front = Math.max(...above.flatMap(({ from, to }) => [from.x, to.x]));
  return above.flatMap(({ from, to, bulge }): Piece[] => {
    const [a, b, turn] = from.x >= to.x ? [from, to, bulge] : [to, from, -bulge];
    const piece = {
      z0: (front - a.x) * scale,
      z1: (front - b.x) * scale,
      r0: (a.y - axis) * scale,
      r1: (b.y - axis) * scale,
    };
    if (piece.z1 - piece.z0 < TINY) return [];
    if (Math.abs(bulge) < 1e-9) return piece.r0 < TINY && piece.r1 < TINY ? [] : [piece];
    const chord = Math.hypot(piece.z1 - piece.z0, piece.r1 - piece.r0);
    // From right to left an arc that turns anticlockwise bulges upwards.
    return [{ ...piece, arc: { radius: (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge)), hollow: turn < 0 } }];
  });
}

/** The outer outline from front to back, its small gaps closed; what lies under it is the bore. */
function outline(pieces: Piece[], told: string[]): { outer: Piece[]; inner: Piece[] } {
  const sorted = [...pieces].sort((a, b) => a.z0 - b.z0 || b.r0 + b.r1 - a.r0 - a.r1);
  const outer: Piece[] = [];
  const inner: Piece[] = [];
  let closed = 0;
  for (const piece of sorted) {
    const end = outer.at(-1)?.z1 ?? 0;
    if (piece.z0 < end - GAP) {
      inner.push(piece);
      continue;
    }
    if (Math.abs(piece.z0 - end) > TINY) closed++;
    outer.push({ ...piece, z0: end });
  }
  if (closed > 0) told.push(`${closed} small gaps were closed`);
  return { outer, inner };
}

const figure = (mm: number) => Number(mm.toFixed(4));

/** A chamfer of 45° between a face and the cylinder beside it. */
const isChamfer = (
  { z0, z1, r0, r1, arc }: Piece,
  before: Piece | undefined,
  after: Piece | undefined,
): 'front' | 'back' | undefined => {
  const [long, high] = [z1 - z0, Math.abs(r1 - r0)];
  if (arc || Math.abs(long - high) > 1e-3) return undefined;
  const level = (piece: Piece | undefined, r: number) =>
    piece && !piece.arc && Math.abs(piece.r0 - piece.r1) < TINY && Math.abs(piece.r0 - r) < TINY;
  if (r1 > r0 && level(after, r1)) return 'front';
  if (r0 > r1 && level(before, r0)) return 'back';
  return undefined;
};

/** The outer outline as steps and details. */
function stepsOf(outer: Piece[], told: string[]): Pick<Lines, 'outside' | 'details'> {
  const outside: Lines['outside'] = [];
  const details: Lines['details'] = [];
  let owed = 0;
  outer.forEach((piece, index) => {
    const { z0, z1, r0, r1, arc } = piece;
    const long = z1 - z0;
    const corner = isChamfer(piece, outer[index - 1], outer[index + 1]);
    if (corner === 'front') {
      details.push({ kind: 'chamfer', at: figure(z0), size: figure(long) });
      owed = long;
      return;
    }
    if (corner === 'back') {
      details.push({ kind: 'chamfer', at: figure(z1), size: figure(long) });
      const last = outside.at(-1);
      if (last) last.length = figure(Number(last.length) + long);
      return;
    }
    const length = figure(long + owed);
    owed = 0;
    const ends = index === 0 || index === outer.length - 1;
    if (arc && ends && !arc.hollow && Math.min(r0, r1) < TINY)
      outside.push({ shape: 'sphere', diameter: figure(2 * arc.radius), length });
    else if (!arc && Math.abs(r1 - r0) < TINY) outside.push({ shape: 'cylinder', diameter: figure(2 * r0), length });
    else {
      if (arc)
        told.push(
          `an arc of radius ${figure(arc.radius)} at ${figure(z0)} is taken as a cone: give the radius as a detail`,
        );
      outside.push({ shape: 'cone', from: figure(2 * r0), to: figure(2 * r1), length });
    }
  });
  return { outside, details };
}

/** The lines of the bore: straight holes from the ends; what is not level is told. */
function holesOf(inner: Piece[], length: number, told: string[]): Lines['bores'] {
  const level = inner.filter(({ r0, r1, arc }) => !arc && Math.abs(r0 - r1) < TINY && r0 > TINY);
  const rest = inner.length - level.length;
  if (rest > 0)
    told.push(
      `${rest} lines inside the outline are no straight holes: points, cones and grooves of the bore are to be given by hand`,
    );
  return level.flatMap(({ z0, z1, r0 }): Lines['bores'] => {
    const diameter = figure(2 * r0);
    const least = Math.min(...level.map((piece) => piece.r0));
    if (z0 < GAP && z1 > length - GAP) return [{ from: 'front', shape: 'drill', diameter, depth: 'through' }];
    // The narrowest goes right through when the wider ones leave nothing between the ends.
    if (
      Math.abs(r0 - least) < TINY &&
      level.length > 1 &&
      level.every((piece) => piece.z0 < GAP || piece.z1 > length - GAP || Math.abs(piece.r0 - least) < TINY)
    )
      return [{ from: 'front', shape: 'drill', diameter, depth: 'through' }];
    if (z0 < GAP) return [{ from: 'front', shape: 'bore', diameter, depth: figure(z1) }];
    if (z1 > length - GAP) return [{ from: 'back', shape: 'bore', diameter, depth: figure(length - z0) }];
    told.push(`the bore of ${diameter} from ${figure(z0)} to ${figure(z1)} reaches neither end and is left out`);
    return [];
  });
}

/**
 * Reads half a profile from a DXF drawing: lines, arcs and polylines above its axis, the front at the right, become
 * steps, 45° chamfers and straight holes, in mm. Everything else is listed.
 * @returns the entries, or why the drawing is refused: broken, without units (path `units`), without a profile
 */
export function readDxf(text: string, choices: DxfChoices = {}): Result<DxfPart> {
  const parsed = parse(text);
  if (!parsed.ok) return parsed;
  const dxf = parsed.value;
  const scale = choices.units ? (choices.units === 'in' ? MM_PER_INCH : 1) : UNITS[Number(dxf.header?.['$INSUNITS'])];
  if (scale === undefined)
    return refuse('units', 'the drawing does not say its units: are they millimetres or inches?');
  const told: string[] = [];
  const strange = new Map<string, number>();
  const edges = dxf.entities.flatMap((entity) => {
    if (isCentreLine(entity)) return [];
    const drawn = edgesOf(entity);
    if (!drawn) strange.set(entity.type, (strange.get(entity.type) ?? 0) + 1);
    return drawn ?? [];
  });
  if (edges.length > MOST_EDGES)
    return refuse(
      'dxf',
      `has ${edges.length} lines, and a half profile has some dozens: put it out alone, with curves as arcs`,
    );
  const reached = ({ from, to }: Edge) => [from.x, from.y, to.x, to.y].every((at) => Math.abs(at) <= FARTHEST);
  if (!edges.every((edge) => reached(edge) && Number.isFinite(edge.bulge)))
    return refuse('dxf', 'has a line with an end that is no point, or lies farther out than any drawing: draw it anew');
  if (edges.length === 0) return refuse('dxf', 'has no lines, arcs or polylines to make a profile of');
  for (const [type, many] of strange) told.push(`${many} × ${type} not understood and left out`);
  const axis = axisOf(dxf, edges, choices, told);
  const { outer, inner } = outline(piecesOf(edges, axis, scale, told), told);
  if (outer.length === 0) return refuse('dxf', 'has no outline above its axis');
  const { outside, details } = stepsOf(outer, told);
  if (outside.length > MOST)
    return refuse(
      'dxf',
      `gives ${outside.length} steps, and ${MOST} are the most: draw curves as arcs, not as short lines`,
    );
  const length = outer.at(-1)?.z1 ?? 0;
  return good({ outside, details, bores: holesOf(inner, length, told), told });
}
