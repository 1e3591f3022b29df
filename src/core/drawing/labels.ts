import { spreadBy } from './layout';
import { textWidth, type Mark } from './marks';
import { line, type Frame, type Sheet } from './sheet';
import type { Label } from './written';

/** From the left of the sheet: z runs to the left. */
const byPlace = (labels: Label[]): Label[] => [...labels].sort((a, b) => b.z - a.z);

/** A text begins so far behind its leader, in text heights. */
const BEHIND = 0.3;

/** Height of a row of labels, and how far apart their leaders stand, in text heights. */
const ROW = 1.35;
const APART = 1.1;

/** Labels that hang like flags on their leaders, each a row lower than the one to its left, so that nothing crosses. */
interface Flags {
  labels: Label[];
  width: number;
}

/** Labels in groups of so many, from the left. */
const flagsOf = (labels: Label[], many: number, h: number): Flags[] =>
  Array.from({ length: Math.ceil(labels.length / many) }, (_, group) => {
    const members = labels.slice(group * many, (group + 1) * many);
    return {
      labels: members,
      width: Math.max(...members.map(({ text }, index) => (index * APART + BEHIND) * h + textWidth(text, h))),
    };
  });

/** The fewest rows in which the labels fit beside one another. */
function labelRows(labels: Label[], { width, textHeight: h }: Sheet): number {
  const sorted = byPlace(labels);
  for (let rows = 1; rows < labels.length; rows++) {
    const flags = flagsOf(sorted, rows, h);
    if (flags.reduce((total, flag) => total + flag.width + h, 0) <= width - h) return rows;
  }
  return labels.length;
}

/** Labels in rows, with leaders to their surfaces. */
export function labelMarks(labels: Label[], { x, y }: Frame, sheet: Sheet, at: { edge: number; up: boolean }): Mark[] {
  if (labels.length === 0) return [];
  const h = sheet.textHeight;
  const rows = labelRows(labels, sheet);
  const groups = flagsOf(byPlace(labels), rows, h);
  const middles = spreadBy(
    groups.map(({ labels: members, width }) => {
      const wanted = members.reduce((total, { z }, index) => total + x(z) - index * APART * h, 0) / members.length;
      return { place: wanted + width / 2, width };
    }),
    h,
    h,
    sheet.width - h,
  );
  const towards = at.up ? -1 : 1;
  return groups.flatMap(({ labels: members, width }, group) =>
    members.flatMap(({ z, r, text, of, critical }, index): Mark[] => {
      const place = (middles[group] ?? 0) - width / 2 + index * APART * h;
      // Above, the flag furthest to the left is the highest; below, the lowest.
      const row = members.length - 1 - index;
      const knee = at.edge + towards * h * 0.9;
      const foot = knee + towards * h * (0.3 + row * ROW);
      return [
        line(
          'leader',
          [
            { x: x(z), y: y(r) },
            { x: place, y: knee },
            { x: place, y: foot + towards * h * 0.8 },
          ],
          of,
        ),
        {
          kind: 'text',
          x: place + h * BEHIND,
          y: at.up ? foot - h * 0.1 : foot + h * 0.85,
          text,
          anchor: 'start',
          ...(critical ? { critical } : {}),
          of,
        },
      ];
    }),
  );
}

/** Height that labels take. */
export const labelRoom = (labels: Label[], sheet: Sheet): number =>
  labels.length === 0 ? 0 : sheet.textHeight * (1.6 + labelRows(labels, sheet) * ROW);
