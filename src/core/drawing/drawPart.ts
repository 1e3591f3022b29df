import { sayFigure } from '../model/units/mark';
import { largestDiameter, type Part } from '../model/part/part';
import type { UnitSystem } from '../model/units/length';
import { bodyMarks } from './body';
import { labelMarks, labelRoom } from './labels';
import { lengthMarks, lengthRows } from './lengths';
import type { Drawing } from './marks';
import { line, type Frame, type Sheet } from './sheet';
import { surfaceMarks } from './surface';
import { written } from './written';

/** Scales of drawings, enlarged and reduced. */
export const SCALES = [20, 10, 5, 4, 2, 1, 1 / 2, 1 / 4, 1 / 5, 1 / 10] as const;

/** A scale in words: `2 : 1`, `1 : 4`. */
export const scaleName = (scale: number): string =>
  scale >= 1 ? `${sayFigure(scale, 2)} : 1` : `1 : ${sayFigure(1 / scale, 2)}`;

/**
 * A dimensioned section of a part: both halves, its front at the right, as the operator sees it. Diameters and notes
 * stand above with leaders, those of the bore below, lengths in rows under it; nothing overlaps.
 * @param beside another part that must find room on the same sheet, front on front
 */
export function drawPart(part: Part, units: UnitSystem, sheet: Sheet, beside?: Part): Drawing {
  const { width, height, textHeight: h } = sheet;
  const { above, below, lengths } = written(part, units);
  const [top, middle] = [labelRoom(above, sheet), labelRoom(below, sheet)];
  const largest = Math.max(largestDiameter(part), beside ? largestDiameter(beside) : 0);
  const longest = Math.max(part.length, beside?.length ?? 0);
  const side = h * 3.6;
  const roomFor = (scale: number) => top + middle + lengthRows(lengths, scale, h) * h * 1.45 + h * 2;
  const fits = (scale: number) => longest * scale <= width - 2 * side && largest * scale <= height - roomFor(scale);
  const free = (() => {
    let scale = (width - 2 * side) / longest;
    while (scale > 1e-3 && !fits(scale)) scale *= 0.97;
    return scale;
  })();
  const scale = sheet.scales ? (sheet.scales.find(fits) ?? sheet.scales.at(-1) ?? free) : free;
  const right = width / 2 + (longest * scale) / 2;
  const spare = Math.max(0, height - roomFor(scale) - largest * scale);
  const axis = top + h + spare / 2 + (largest * scale) / 2;
  const frame: Frame = { x: (z) => right - z * scale, y: (r) => axis - r * scale };
  const under = axis + (largest / 2) * scale + h * 0.4;
  const over = axis - (largest / 2) * scale - h * 0.2;
  const critical = part.steps
    .filter((step) => step.critical)
    .flatMap(({ path, zFrom, zTo, diameter }) =>
      [1, -1].map((half) =>
        line(
          'critical',
          [
            { x: frame.x(zFrom), y: frame.y((half * diameter.nominal) / 2) },
            { x: frame.x(zTo), y: frame.y((half * diameter.nominal) / 2) },
          ],
          path,
        ),
      ),
    );
  return {
    width,
    height,
    textHeight: h,
    scale,
    origin: { x: right, y: axis },
    marks: [
      ...bodyMarks(part, frame),
      ...surfaceMarks(part, frame),
      ...critical,
      line('axis', [
        { x: frame.x(longest) - h, y: axis },
        { x: right + h, y: axis },
      ]),
      ...labelMarks(above, frame, sheet, { edge: over, up: true }),
      ...labelMarks(below, frame, sheet, { edge: under, up: false }),
      // Extension lines begin behind the labels of the bore, not through them.
      ...lengthMarks(lengths, frame, sheet, under + middle, under + middle - h * 0.2),
      { kind: 'text', x: right + h * 0.4, y: axis - h * 0.5, text: 'front', anchor: 'start' },
    ],
    shoulders: part.steps.map(({ zTo }, step) => {
      const r = largest / 2;
      return { x: frame.x(zTo), top: frame.y(r), bottom: frame.y(-r), step };
    }),
  };
}
