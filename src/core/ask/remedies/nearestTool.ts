import { formatNominal, MM_PER_INCH, parseLength } from '../../model/units/length';
import type { RemedyKind } from './remedy';

/** How many sizes beside the one that is asked for are offered. */
const NEAR = 2;

/** A drilled hole of a size that a drill of the list makes: a change of the drawing, for whoever may change it. */
export const nearestTool: RemedyKind = ({ part, units }, { tools }, problems) =>
  (part.bores ?? []).flatMap((bore, index) => {
    const path = `part.bores[${index}].diameter`;
    if (!problems.some((problem) => problem.path === path) || bore.shape !== 'drill') return [];
    const written = bore.diameter;
    const wanted = parseLength(typeof written === 'object' ? String(written.size) : String(written), units);
    if (!wanted.ok) return [];
    const sizes = tools.flatMap(({ does, diameter }) => (does.includes('drill') && diameter ? [diameter] : []));
    return [...new Set(sizes)]
      .toSorted((a, b) => Math.abs(a - wanted.value) - Math.abs(b - wanted.value))
      .slice(0, NEAR)
      .map((size) => ({
        path,
        value: Number((units === 'in' ? size / MM_PER_INCH : size).toFixed(units === 'in' ? 4 : 3)),
        words: `Drill it ⌀${formatNominal(size, units)}, a drill of the list; the drawing then says so`,
      }));
  });
