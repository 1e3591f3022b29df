import type { Part } from '../model/part/part';
import type { PathMap } from '../ask/revisions/compareParts';
import type { UnitSystem } from '../model/units/length';
import { bodyMarks } from './body';
import { drawPart } from './drawPart';
import type { Drawing, Mark } from './marks';
import type { Frame, Sheet } from './sheet';

/** Two revisions of a part over one another, front on front and at one scale. */
export interface BothDrawn {
  /** The second, with its dimensions. */
  drawing: Drawing;
  /** Metal and outline of each by themselves, to show what came and what went. */
  before: Mark[];
  after: Mark[];
  /** What the second writes and the first does not, by entry: texts that changed. */
  written: ReadonlySet<Mark>;
}

const body = (part: Part, frame: Frame): Mark[] =>
  bodyMarks(part, frame).filter((mark) => mark.kind === 'metal' || (mark.kind === 'line' && mark.use === 'outline'));

/** The texts of the second drawing that the first has not at the same entry. */
function changedTexts(marks: Mark[], old: Mark[], paths: PathMap): Set<Mark> {
  const known = new Set(old.flatMap((mark) => (mark.kind === 'text' ? [`${mark.of ?? ''} ${mark.text}`] : [])));
  return new Set(
    marks.filter(
      (mark) => mark.kind === 'text' && !known.has(`${paths.get(mark.of ?? '') ?? mark.of ?? ''} ${mark.text}`),
    ),
  );
}

/**
 * Draws two revisions of a part on one sheet.
 * @param paths which entry of the second is which of the first
 */
export function drawBoth(before: Part, after: Part, units: UnitSystem, sheet: Sheet, paths: PathMap): BothDrawn {
  const drawing = drawPart(after, units, sheet, before);
  const { origin, scale } = drawing;
  const frame: Frame = { x: (z) => origin.x - z * scale, y: (r) => origin.y - r * scale };
  return {
    drawing,
    before: body(before, frame),
    after: body(after, frame),
    written: changedTexts(drawing.marks, drawPart(before, units, sheet).marks, paths),
  };
}
