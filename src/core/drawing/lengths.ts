import { rowsOf } from './layout';
import { textWidth, type Mark } from './marks';
import { line, type Frame, type Sheet } from './sheet';
import type { Length } from './written';

/** Stretch that a length needs on the sheet: its line, or its figure when that is wider. */
function stretchOf({ z0, z1, text }: Length, { x }: Frame, h: number) {
  const [a, b] = [Math.min(x(z0), x(z1)), Math.max(x(z0), x(z1))];
  const wide = textWidth(text, h);
  const middle = (a + b) / 2;
  return { from: Math.min(a, middle - wide / 2), upTo: Math.max(b, middle + wide / 2), a, b, middle };
}

/** Lengths in rows under the part, each with its extension lines and arrows. */
export function lengthMarks(lengths: Length[], frame: Frame, sheet: Sheet, from: number, below: number): Mark[] {
  const h = sheet.textHeight;
  const stretches = lengths.map((length) => stretchOf(length, frame, h));
  const rows = rowsOf(stretches, h * 0.6);
  return lengths.flatMap(({ text, of, critical }, index): Mark[] => {
    const stretch = stretches[index];
    if (!stretch) return [];
    const y = from + h * 1.45 * ((rows[index] ?? 0) + 1);
    const tick = h * 0.3;
    const arrow = (x: number, way: 1 | -1) =>
      line(
        'dimension',
        [
          { x: x + way * tick * 1.6, y: y - tick * 0.6 },
          { x, y },
          { x: x + way * tick * 1.6, y: y + tick * 0.6 },
        ],
        of,
      );
    return [
      ...[stretch.a, stretch.b].map((x) =>
        line(
          'dimension',
          [
            { x, y: below },
            { x, y: y + tick },
          ],
          of,
        ),
      ),
      line(
        'dimension',
        [
          { x: stretch.a, y },
          { x: stretch.b, y },
        ],
        of,
      ),
      arrow(stretch.a, 1),
      arrow(stretch.b, -1),
      {
        kind: 'text',
        x: stretch.middle,
        y: y - h * 0.25,
        text,
        anchor: 'middle',
        ...(critical ? { critical } : {}),
        of,
      },
    ];
  });
}

/** How many rows the lengths will take at a scale; known before the part has its place. */
export const lengthRows = (lengths: Length[], scale: number, h: number): number =>
  1 +
  Math.max(
    -1,
    ...rowsOf(
      lengths.map((length) => stretchOf(length, { x: (z) => -z * scale, y: () => 0 }, h)),
      h * 0.6,
    ),
  );
