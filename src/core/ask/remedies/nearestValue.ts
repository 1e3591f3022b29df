import { sayFigure } from '../../model/units/mark';
import { MM_PER_INCH, parseLength } from '../../model/units/length';
import { valueAt } from '../../model/setPath';
import { isSize, sizeObject } from '../../model/part/size';
import type { RunFile } from '../../read/runFile';
import { byKeys } from '../../read/byKeys';
import { entryOf } from './entryOf';
import type { Change, RemedyKind } from './remedy';

/** How much less or more of a figure is tried, the nearest first. */
const TIMES = [0.95, 1.05, 0.9, 1.1, 0.8, 1.25, 0.65, 1.5, 0.5, 2, 0.3, 3, 0.15];

/** Where there is nothing to take a share of, mm. */
const INSTEAD = [1, 2, 5, 10, 20];

/** Figures as people say them: two digits. */
const said = (value: number): number => Number(value.toPrecision(2));

/** A figure of a run file, in its units, with what is written beside it. */
interface Written {
  path: string;
  value: number;
  /** The same entry with another figure. */
  put: (value: number) => unknown;
  /** The same figure without limits of its own, where it has some. */
  plain?: number;
}

function writtenAt(path: string, entry: unknown, { units }: RunFile): Written | undefined {
  if (!isSize(entry)) return undefined;
  const parts = sizeObject(entry);
  const length = parseLength(typeof parts === 'object' ? parts.size : parts, units);
  if (!length.ok) return undefined;
  const value = units === 'in' ? length.value / MM_PER_INCH : length.value;
  return typeof parts === 'object'
    ? { path, value, put: (size) => ({ ...parts, size }), plain: said(value) }
    : { path, value, put: (size) => size };
}

/** The largest figure of its kind in the outside: what is too long or too wide is so by that. */
function largest(key: 'diameter' | 'length', file: RunFile): Written[] {
  const all = file.part.outside.flatMap(
    (step, index) => writtenAt(`part.outside[${index}].${key}`, byKeys(step)[key], file) ?? [],
  );
  return all.toSorted((a, b) => b.value - a.value).slice(0, 1);
}

/** The figures that a problem is about: the one at its path, all of the entry, or the largest of the whole outside. */
function figuresOf(path: string, file: RunFile): Written[] {
  if (path === 'part.outside') return [...largest('length', file), ...largest('diameter', file)];
  const at = writtenAt(path, valueAt(file, path), file);
  const entry = entryOf(path) ? /^part\.\w+\[\d+\]/.exec(path)?.[0] : undefined;
  const others = entry
    ? Object.entries(byKeys(valueAt(file, entry) ?? {})).flatMap(([key, value]): Written[] => {
        const written = writtenAt(`${entry}.${key}`, value, file);
        return written && written.path !== path ? [written] : [];
      })
    : [];
  return [...(at ? [at] : []), ...others];
}

/** What a figure is called where it is written: `blade width`. */
const named = (path: string): string =>
  (/\.?(\w+)$/.exec(path)?.[1] ?? 'figure').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

const changed = ({ path, put }: Written, to: number, was: number): Change => ({
  path,
  value: put(to),
  words: `Make the ${named(path)} ${sayFigure(to)} instead of ${sayFigure(was, 3)}; ${path.startsWith('part.') ? 'the drawing then says so' : 'the run then says so'}`,
});

/** The figure that a problem is about, a little less or more of it, as far as it has to be. */
export const nearestValue: RemedyKind = (file, _, problems) => {
  const figures = problems.flatMap(({ path, missing }) => (missing ? [] : figuresOf(path, file)));
  return [
    ...figures.flatMap(({ path, plain }): Change[] =>
      plain === undefined
        ? []
        : [{ path, value: plain, words: `Make the ${named(path)} ${sayFigure(plain)} without limits of its own` }],
    ),
    ...TIMES.flatMap((times) =>
      figures.flatMap((figure) =>
        figure.value > 0 ? [changed(figure, said(figure.value * times), figure.value)] : [],
      ),
    ),
    ...figures.flatMap((figure) =>
      figure.value > 0 ? [] : INSTEAD.map((value) => changed(figure, value, figure.value)),
    ),
  ];
};
