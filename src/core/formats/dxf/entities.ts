import { sayFigure } from '../../model/units/mark';
import type { IBlock, IDxf, IEllipseEntity, IEntity, IInsertEntity, ISplineEntity } from 'dxf-parser';
import { edgesAlong, ellipseOf, splineOf, type Curve } from './curve';
import { TINY, type Edge, type Point } from './edge';

/** What a drawing is made of, with everything that stands in blocks where it is put. */
export interface Drawn {
  /** Lines that may be metal. */
  edges: Edge[];
  /** Centre lines. */
  centres: Edge[];
  /** What is written on it. */
  texts: string[];
  told: string[];
  layers: DxfLayer[];
}

/** A layer of the drawing, and whether its lines are taken for metal. */
export interface DxfLayer {
  name: string;
  lines: number;
  metal: boolean;
}

/** How a drawing is taken apart. */
interface Taking {
  /** Straight lines and arcs stand for a curve, so near, in the drawing's units. */
  within: number;
  /** Layers that are metal, or not, whatever they are called. */
  layers: Readonly<Record<string, boolean>>;
}

/** How far what stands for a curve may lie from it, mm. */
export const WITHIN = 0.01;

/** Blocks in blocks, so deep and no deeper. */
const DEEPEST = 8;

/** What is written or measured and is no metal, whatever layer it is on. */
const WRITTEN = /^(DIMENSION|TEXT|MTEXT|ATTRIB|ATTDEF|LEADER|MULTILEADER|HATCH|SOLID|POINT|VIEWPORT|TOLERANCE)$/;

/** Layers of what is no metal: dimensions, words, hatching, frames, marks over a line that is there, and threads, which are drawn inside what carries them. */
const ASIDE = /dim|text|note|hatch|title|border|frame|sheet|defpoint|viewport|leader|thread|symbol|critical/i;

const CENTRE = /cent(er|re)|axis/i;

const isCentreLine = ({ layer = '', lineType = '' }: IEntity): boolean => CENTRE.test(`${layer} ${lineType}`);

/** How a block is put: turned, stretched and moved. */
interface Put {
  at(point: Point): Point;
  /** An arc that is mirrored turns the other way. */
  mirrored: boolean;
  /** A circle stays one. */
  even: boolean;
}

const AS_DRAWN: Put = { at: (point) => point, mirrored: false, even: true };

function putOf(
  { position, rotation = 0, xScale = 1, yScale = 1 }: IInsertEntity,
  { position: base }: IBlock,
  outer: Put,
): Put {
  const turn = (rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return {
    at: ({ x, y }) => {
      const [dx, dy] = [(x - (base?.x ?? 0)) * xScale, (y - (base?.y ?? 0)) * yScale];
      return outer.at({ x: position.x + c * dx - s * dy, y: position.y + s * dx + c * dy });
    },
    mirrored: outer.mirrored !== xScale * yScale < 0,
    even: outer.even && Math.abs(Math.abs(xScale) - Math.abs(yScale)) < TINY,
  };
}

interface Shape {
  vertices?: (Point & { bulge?: number })[];
  shape?: boolean;
  center?: Point;
  radius?: number;
  startAngle?: number;
  endAngle?: number;
  text?: string;
}

function arcOf({ center, radius = 0, startAngle = 0, endAngle = 0 }: Shape & { center: Point }): Edge {
  const at = (angle: number) => ({ x: center.x + radius * Math.cos(angle), y: center.y + radius * Math.sin(angle) });
  const turn = (((endAngle - startAngle) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
  return { from: at(startAngle), to: at(endAngle), bulge: Math.tan(turn / 4) };
}

/** What is drawn as neither line nor arc; of poles that weigh differently the file's reader keeps no weights. */
function curveOf(entity: IEntity): Curve | undefined {
  if (entity.type === 'ELLIPSE') {
    const { center, majorAxisEndPoint, axisRatio, startAngle = 0, endAngle = 2 * Math.PI } = entity as IEllipseEntity;
    return ellipseOf(center, majorAxisEndPoint, axisRatio, startAngle, endAngle);
  }
  if (entity.type !== 'SPLINE') return undefined;
  const { controlPoints, knotValues, degreeOfSplineCurve, rational } = entity as ISplineEntity;
  return rational ? undefined : splineOf(controlPoints ?? [], knotValues ?? [], degreeOfSplineCurve);
}

/** The edges of an entity; undefined when it is none that a profile is made of. */
function edgesOf(entity: IEntity, within: number): Edge[] | undefined {
  const shape = entity as unknown as Shape;
  const { vertices, center } = shape;
  const curve = curveOf(entity);
  if (curve) return edgesAlong(curve, within);
  if (entity.type === 'ARC' && center) return [arcOf({ ...shape, center })];
  if (!['LINE', 'LWPOLYLINE', 'POLYLINE'].includes(entity.type) || !vertices) return undefined;
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

const put = ({ from, to, bulge }: Edge, { at, mirrored }: Put): Edge => ({
  from: at(from),
  to: at(to),
  bulge: mirrored ? -bulge : bulge,
});

const counted = (told: Map<string, number>, what: string) => told.set(what, (told.get(what) ?? 0) + 1);

/** Whether a layer is metal when nobody says so. */
const isMetal = (layer: string): boolean => !ASIDE.test(layer) && !CENTRE.test(layer);

/** Everything that a drawing is made of; what is left out is counted, and told by what it is. */
export function drawnIn(dxf: IDxf, { within, layers }: Taking): Drawn {
  const drawn: Drawn = { edges: [], centres: [], texts: [], told: [], layers: [] };
  const left = new Map<string, number>();
  const strange = new Map<string, number>();
  const curves = new Map<string, number>();
  const lines = new Map<string, number>();
  const take = (entities: readonly IEntity[], as: Put, deep: number) => {
    for (const entity of entities) {
      const { type, layer = '' } = entity;
      const block = type === 'INSERT' ? dxf.blocks?.[(entity as IInsertEntity).name] : undefined;
      if (block?.entities && deep < DEEPEST) {
        take(block.entities, putOf(entity as IInsertEntity, block, as), deep + 1);
        continue;
      }
      const { text } = entity as unknown as Shape;
      if (text) drawn.texts.push(text);
      if (WRITTEN.test(type)) {
        counted(left, 'dimensions and words');
        continue;
      }
      const edges = edgesOf(entity, within);
      if (!edges || (!as.even && edges.some(({ bulge }) => bulge !== 0))) {
        counted(strange, type);
        continue;
      }
      counted(lines, layer);
      const said = layers[layer];
      if (said !== true && isCentreLine(entity)) for (const edge of edges) drawn.centres.push(put(edge, as));
      else if (!(said ?? isMetal(layer))) counted(left, `layer ${layer}`);
      else {
        if (curveOf(entity)) counted(curves, type);
        for (const edge of edges) drawn.edges.push(put(edge, as));
      }
    }
  };
  take(dxf.entities, AS_DRAWN, 0);
  for (const [what, many] of left) drawn.told.push(`${what}: ${many} left out`);
  for (const [type, many] of strange) drawn.told.push(`${many} × ${type} not understood and left out`);
  for (const [type, many] of curves)
    drawn.told.push(`${many} × ${type} read as arcs and lines within ${sayFigure(WITHIN)} mm`);
  drawn.layers = [...lines].map(([name, many]) => ({ name, lines: many, metal: layers[name] ?? isMetal(name) }));
  return drawn;
}
