import DxfParser from 'dxf-parser';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { RunFile } from '../read/runFile';
import { readPart } from '../read/readPart';
import { step } from '../testing';
import { drawPart, SCALES, scaleName } from './drawPart';
import { dxfOf } from './dxf';
import { textWidth, type Drawing } from './marks';
import { pathData, svgOf } from './svg';
import { sizeOnDrawing } from './words';

const folder = join(__dirname, '../../../examples');
const examples = readdirSync(folder)
  .filter((name) => name.endsWith('.json'))
  .map((name) => [name, JSON.parse(readFileSync(join(folder, name), 'utf8')) as RunFile] as const);

const SHEET = { width: 560, height: 410, textHeight: 12.5 };
const PAPER = { width: 277, height: 176, textHeight: 3, scales: SCALES };

const partOf = (file: Pick<RunFile, 'part' | 'units'>) => {
  const part = readPart(file.part, file.units);
  if (!part.ok) throw new Error(JSON.stringify(part.problems));
  return part.value;
};

const texts = ({ marks }: Drawing) => marks.flatMap((mark) => (mark.kind === 'text' ? [mark] : []));

/** Boxes of the texts; a hair smaller, so that touching is not overlapping. */
const boxes = (drawing: Drawing) =>
  texts(drawing).map(({ x, y, text, anchor }) => {
    const wide = textWidth(text, drawing.textHeight);
    const left = anchor === 'start' ? x : anchor === 'middle' ? x - wide / 2 : x - wide;
    return { text, left, right: left + wide, top: y - drawing.textHeight * 0.72, bottom: y };
  });

describe.each(examples)('%s', (_, file) => {
  const part = partOf(file);

  test.each([
    ['screen', SHEET],
    ['paper', PAPER],
  ])('on %s no two figures overlap and none leaves the sheet', (_name, sheet) => {
    const drawing = drawPart(part, file.units, sheet);
    const all = boxes(drawing);
    for (const [index, one] of all.entries()) {
      expect([
        one.text,
        one.left >= -1 && one.right <= sheet.width + 1 && one.top >= -1 && one.bottom <= sheet.height + 1,
      ]).toEqual([one.text, true]);
      for (const other of all.slice(index + 1)) {
        const apart =
          one.right <= other.left + 0.5 ||
          other.right <= one.left + 0.5 ||
          one.bottom <= other.top + 0.5 ||
          other.bottom <= one.top + 0.5;
        expect([one.text, other.text, apart]).toEqual([one.text, other.text, true]);
      }
    }
  });

  test('every step has its diameter on it, and every length of the drawing, limits and all', () => {
    const said = texts(drawPart(part, file.units, PAPER)).map(({ text }) => text);
    for (const { diameter, path } of part.steps) {
      if (part.features.every((feature) => feature.path !== path))
        expect(said).toContainEqual(expect.stringContaining(`⌀${sizeOnDrawing(diameter, file.units)}`));
    }
    // The lengths as the drawing gives them, from whichever datum; one that follows from them is not written twice.
    for (const { size } of part.links) expect(said).toContain(sizeOnDrawing(size, file.units));
  });

  test('as DXF, another reader finds the part at its true size', () => {
    const drawing = drawPart(part, file.units, PAPER);
    const dxf = new DxfParser().parseSync(dxfOf(drawing));
    const outline = (dxf?.entities ?? []).filter(({ layer }) => layer === 'OUTLINE') as unknown as {
      vertices: { x: number; y: number }[];
    }[];
    const places = outline.flatMap(({ vertices }) => vertices);
    const span = (values: number[]) => Math.max(...values) - Math.min(...values);
    expect(span(places.map(({ x }) => x))).toBeCloseTo(part.length, 3);
    const inner = part.features.every(({ kind }) => kind !== 'sphere');
    if (inner)
      expect(span(places.map(({ y }) => y))).toBeCloseTo(
        Math.max(...part.steps.map(({ diameter }) => diameter.nominal)),
        3,
      );
    expect(JSON.stringify(dxf)).toContain(sizeOnDrawing(part.steps[0]?.length ?? ({} as never), file.units));
  });
});

test('the scale is one of those that drawings have, and the largest that fits', () => {
  const part = partOf({ units: 'mm', part: { number: '', material: '', outside: [step(20, 40)] } });
  const drawing = drawPart(part, 'mm', PAPER);
  expect(scaleName(drawing.scale)).toBe('5 : 1');
  expect(40 * 10).toBeGreaterThan(PAPER.width);
});

test('a critical step is drawn heavier, and its figures say so', () => {
  const part = partOf({
    units: 'mm',
    part: { number: '', material: '', outside: [step('14 h8', 9, { critical: true }), step(20, 10)] },
  });
  const { marks } = drawPart(part, 'mm', PAPER);
  expect(marks.filter((mark) => mark.kind === 'line' && mark.use === 'critical')).toHaveLength(2);
  const critical = marks.flatMap((mark) => (mark.kind === 'text' && mark.critical ? [mark.text] : []));
  expect(critical).toEqual(['⌀14 h8 0/−0.027', '9']);
});

test('a half ball is drawn as a quarter circle in each half', () => {
  const part = partOf({
    units: 'mm',
    part: { number: '', material: '', outside: [{ shape: 'sphere', diameter: 12, length: 6 }, step(12, 10)] },
  });
  const drawing = drawPart(part, 'mm', PAPER);
  const outline = drawing.marks.find((mark) => mark.kind === 'line' && mark.use === 'outline');
  if (outline?.kind !== 'line') throw new Error('no outline');
  // tan of a quarter of 90°.
  expect(Math.abs(outline.corners[1]?.bulge ?? 0)).toBeCloseTo(Math.tan(Math.PI / 8), 6);
  expect(pathData(outline.corners)).toContain(`A${6 * drawing.scale},${6 * drawing.scale} 0 0`);
});

test('a hole across is drawn with its walls where it is: through to the other side, or to its bottom', () => {
  const wallsOf = (depth?: number) => {
    const hole = { kind: 'cross-hole' as const, at: 8, diameter: 3, ...(depth === undefined ? {} : { depth }) };
    const drawing = drawPart(
      partOf({ units: 'mm', part: { number: '', material: '', outside: [step(14, 20)], details: [hole] } }),
      'mm',
      PAPER,
    );
    const { origin, scale } = drawing;
    return drawing.marks.flatMap((mark) =>
      mark.kind === 'line' && mark.use === 'hidden' && mark.of === 'part.details[0]'
        ? [
            mark.corners.map(({ x, y }) =>
              [(origin.x - x) / scale, (origin.y - y) / scale].map((v) => Number(v.toFixed(6))),
            ),
          ]
        : [],
    );
  };
  expect(wallsOf()).toEqual([
    [
      [6.5, 7],
      [6.5, -7],
    ],
    [
      [9.5, 7],
      [9.5, -7],
    ],
  ]);
  // 4 deep from r 7 is r 3.
  expect(wallsOf(4)).toEqual([
    [
      [6.5, 7],
      [6.5, 3],
    ],
    [
      [9.5, 7],
      [9.5, 3],
    ],
    [
      [6.5, 3],
      [9.5, 3],
    ],
  ]);
});

test('an SVG file is whole, and writes what a name has in it as text', () => {
  const part = partOf({ units: 'mm', part: { number: '', material: '', outside: [step(20, 40)] } });
  const svg = svgOf(drawPart(part, 'mm', PAPER), ['Pins & <holes>']);
  expect(svg).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="277mm"/);
  expect(svg).toContain('Pins &amp; &lt;holes&gt;');
  expect(svg.trim()).toMatch(/<\/svg>$/);
});
