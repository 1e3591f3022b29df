import type { IBlock, IDxf, IEntity, IInsertEntity } from 'dxf-parser';
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
}

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

/** The edges of an entity; undefined when it is none that a profile is made of. */
function edgesOf(entity: IEntity): Edge[] | undefined {
  const shape = entity as unknown as Shape;
  const { vertices, center } = shape;
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

/** Everything that a drawing is made of; what is left out is counted, and told by what it is. */
export function drawnIn(dxf: IDxf): Drawn {
  const drawn: Drawn = { edges: [], centres: [], texts: [], told: [] };
  const left = new Map<string, number>();
  const strange = new Map<string, number>();
  const take = (entities: readonly IEntity[], as: Put, deep: number) => {
    for (const entity of entities) {
      const block = entity.type === 'INSERT' ? dxf.blocks?.[(entity as IInsertEntity).name] : undefined;
      if (block?.entities && deep < DEEPEST) {
        take(block.entities, putOf(entity as IInsertEntity, block, as), deep + 1);
        continue;
      }
      const { text } = entity as unknown as Shape;
      if (text) drawn.texts.push(text);
      const edges = edgesOf(entity);
      if (WRITTEN.test(entity.type)) counted(left, 'dimensions and words');
      else if (!edges || (!as.even && edges.some(({ bulge }) => bulge !== 0))) counted(strange, entity.type);
      else if (isCentreLine(entity)) for (const edge of edges) drawn.centres.push(put(edge, as));
      else if (ASIDE.test(entity.layer ?? '')) counted(left, `layer ${entity.layer}`);
      else for (const edge of edges) drawn.edges.push(put(edge, as));
    }
  };
  take(dxf.entities, AS_DRAWN, 0);
  for (const [what, many] of left) drawn.told.push(`${what}: ${many} left out`);
  for (const [type, many] of strange) drawn.told.push(`${many} × ${type} not understood and left out`);
  return drawn;
}
