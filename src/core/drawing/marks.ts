/** A corner of a path; with a bulge the way to it is an arc: tan of a quarter of its angle, positive to the right on the sheet. */
export interface Corner {
  x: number;
  y: number;
  bulge?: number;
}

/** What a line on the drawing is for; a line style follows from it. */
export type LineUse = 'outline' | 'edge' | 'hidden' | 'thread' | 'axis' | 'dimension' | 'leader' | 'critical';

/** One thing on a drawing. x to the right and y down, in units of the sheet; `of` is the entry it belongs to. */
export type Mark =
  | { kind: 'metal'; corners: Corner[] }
  | { kind: 'line'; use: LineUse; corners: Corner[]; of?: string }
  | {
      kind: 'text';
      x: number;
      y: number;
      text: string;
      anchor: 'start' | 'middle' | 'end';
      /** The dimension is critical: bold, with a line below. */
      critical?: boolean;
      of?: string;
    };

/** A drawing: its sheet, its scale (paper to part) and what is on it. */
export interface Drawing {
  width: number;
  height: number;
  textHeight: number;
  scale: number;
  /** Where the front face meets the axis. */
  origin: Corner;
  marks: Mark[];
  /** Shoulders that can be dragged: x of each, and the step before it. */
  shoulders: { x: number; top: number; bottom: number; step: number }[];
}

/** Width of a text in the drawing's monospaced face, whose characters are all 0.63 of its height wide. */
export const textWidth = (text: string, height: number): number => 0.63 * height * text.length;

/** The line below a text that is critical, clear of its figures: an underline of the text itself would look like part of them. */
export function lineBelow(
  { x, y, anchor, text }: Pick<Extract<Mark, { kind: 'text' }>, 'x' | 'y' | 'anchor' | 'text'>,
  height: number,
): { from: number; to: number; y: number } {
  const width = textWidth(text, height);
  const from = x - (anchor === 'middle' ? width / 2 : anchor === 'end' ? width : 0);
  return { from, to: from + width, y: y + 0.3 * height };
}
