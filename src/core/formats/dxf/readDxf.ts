import { sayFixed } from '../../model/units/mark';
import DxfParser, { type IDxf } from 'dxf-parser';
import { good, refuse, type Result } from '../../model/result';
import { MM_PER_INCH, type UnitSystem } from '../../model/units/length';
import type { Lines } from '../../read/lines';
import { axisOf } from './axis';
import { placesOf, TINY, type Edge } from './edge';
import { drawnIn, WITHIN, type DxfLayer } from './entities';
import { holesOf } from './holes';
import { outline, piecesOf } from './profile';
import { stepsOf } from './steps';

/** What the drawing did not say, said by whoever brings it in. */
export interface DxfChoices {
  units?: UnitSystem;
  /** y of the axis, in the units of the drawing; without it, it is looked for. */
  axis?: number;
  /** Layers that are metal, or not; the others by what they are called. */
  layers?: Readonly<Record<string, boolean>>;
}

/** A part read from a drawing: its entries in mm, and what was done and not understood, in words. */
export interface DxfPart extends Lines {
  told: string[];
  /** The lines that it was read from as they are drawn, to be laid over it: z from the front and radius, mm. */
  drawn: { z: number; r: number }[][];
}

/** More steps than a run file takes. */
const MOST = 200;

/** A half profile has some dozens of lines; a drawing with more than these is one of something else. */
const MOST_EDGES = 5000;
const LARGEST = 8_000_000;

/** No drawing reaches farther, in its own units; figures beyond would not stay figures. */
const FARTHEST = 1e6;

/** Header codes of $INSUNITS. */
const UNITS: Record<number, number> = { 1: MM_PER_INCH, 4: 1, 5: 10 };

function parse(text: string): Result<IDxf> {
  if (text.length > LARGEST)
    return refuse(
      'dxf',
      `has ${sayFixed(text.length / 1e6, 0)} million characters, and ${LARGEST / 1e6} are read: put out the half profile alone`,
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

/** What of the words on it is a detail that no line tells: a thread or a knurl. */
const HINT = /\b(M\d|G ?\d|Tr ?\d|R ?\d+\/|\d+-\d+ ?UN)|knurl/;

const hints = (texts: readonly string[]): string[] =>
  [...new Set(texts.filter((text) => HINT.test(text)))].map(
    (text) => `the drawing says “${text.slice(0, 60)}”: to be given as a detail`,
  );

/** The layers of a drawing that have lines, and which are taken for metal; none when it cannot be read. */
export function layersIn(text: string, layers: Readonly<Record<string, boolean>> = {}): DxfLayer[] {
  const parsed = parse(text);
  return parsed.ok ? drawnIn(parsed.value, { within: Infinity, layers }).layers : [];
}

/**
 * Reads the profile from a DXF drawing, whole or half, blocks taken apart: lines, arcs and polylines above its axis, the front at the
 * right, become steps, chamfers, corners, fillets, hollows and straight holes, in mm. Everything else is listed.
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
  const {
    edges,
    centres,
    texts,
    told: left,
  } = drawnIn(dxf, {
    within: WITHIN / scale,
    layers: choices.layers ?? {},
  });
  if (edges.length > MOST_EDGES)
    return refuse(
      'dxf',
      `has ${edges.length} lines, and a half profile has some dozens: put it out alone, with curves as arcs`,
    );
  const reached = ({ from, to }: Edge) => [from.x, from.y, to.x, to.y].every((at) => Math.abs(at) <= FARTHEST);
  if (!edges.every((edge) => reached(edge) && Number.isFinite(edge.bulge)))
    return refuse('dxf', 'has a line with an end that is no point, or lies farther out than any drawing: draw it anew');
  if (edges.length === 0)
    return refuse('dxf', 'has no lines, arcs or polylines to make a profile of, on a layer that is metal');
  told.push(...left, ...hints(texts));
  const axis = axisOf(edges, centres, choices.axis, told);
  const { outer, inner } = outline(piecesOf(edges, axis, scale, told), told);
  const front = Math.max(
    ...edges.flatMap(({ from, to }) => [from, to]).map(({ x, y }) => (y > axis - TINY ? x : -Infinity)),
  );
  const drawn = edges.map((edge) =>
    placesOf(edge).map(({ x, y }) => ({ z: (front - x) * scale, r: (y - axis) * scale })),
  );
  if (outer.length === 0) return refuse('dxf', 'has no outline above its axis');
  const { outside, details } = stepsOf(outer, told);
  if (outside.length > MOST)
    return refuse(
      'dxf',
      `gives ${outside.length} steps, and ${MOST} are the most: draw curves as arcs, not as short lines`,
    );
  const length = outer.at(-1)?.z1 ?? 0;
  return good({ outside, details, bores: holesOf(inner, length, told), told, drawn });
}
