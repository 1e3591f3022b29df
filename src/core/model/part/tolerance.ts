import { sayFigure } from '../units/mark';
import { type Result, good, refuse } from '../result';

/** Limits as deviations from the nominal size, mm. */
export interface Deviations {
  lower: number;
  upper: number;
}

/** Upper ends of the nominal size bands, mm (trade: Tables); a band is over the one before, up to and with its own. */
const BANDS = [3, 6, 10, 18, 30, 50, 80, 120];

/** Standard tolerances, µm (trade: Tables). */
const GRADES: Record<number, number[]> = {
  5: [4, 5, 6, 8, 9, 11, 13, 15],
  6: [6, 8, 9, 11, 13, 16, 19, 22],
  7: [10, 12, 15, 18, 21, 25, 30, 35],
  8: [14, 18, 22, 27, 33, 39, 46, 54],
  9: [25, 30, 36, 43, 52, 62, 74, 87],
  10: [40, 48, 58, 70, 84, 100, 120, 140],
  11: [60, 75, 90, 110, 130, 160, 190, 220],
  12: [100, 120, 150, 180, 210, 250, 300, 350],
  13: [140, 180, 220, 270, 330, 390, 460, 540],
  14: [250, 300, 360, 430, 520, 620, 740, 870],
};

/** Fundamental deviations of shafts, µm (trade: Tables): d to h the upper limit, k to p the lower. */
const SHAFTS: Record<string, number[]> = {
  d: [-20, -30, -40, -50, -65, -80, -100, -120],
  e: [-14, -20, -25, -32, -40, -50, -60, -72],
  f: [-6, -10, -13, -16, -20, -25, -30, -36],
  g: [-2, -4, -5, -6, -7, -9, -10, -12],
  h: [0, 0, 0, 0, 0, 0, 0, 0],
  k: [0, 1, 1, 1, 2, 2, 2, 3],
  m: [2, 4, 6, 7, 8, 9, 11, 13],
  n: [4, 8, 10, 12, 15, 17, 20, 23],
  p: [6, 12, 15, 18, 22, 26, 32, 37],
};

/** The same of press fits, whose bands are finer above 50. */
const PRESS_BANDS = [3, 6, 10, 18, 30, 50, 65, 80, 100, 120];
const PRESS: Record<string, number[]> = {
  r: [10, 15, 19, 23, 28, 34, 41, 43, 51, 54],
  s: [14, 19, 23, 28, 35, 43, 53, 59, 71, 79],
};

/** Grades up to which a tight hole is moved towards the metal by what its grade is wider than the next finer one (ISO 286-1). */
const MOVED_TO: Record<string, number> = { K: 8, M: 8, N: 8, P: 7, R: 7, S: 7 };

/** General tolerances ± mm by class, for lengths up to 3, 6, 30, 120, 400 mm (trade: Tables). */
const GENERAL_BANDS = [3, 6, 30, 120, 400];
const GENERAL: Record<string, number[]> = {
  fine: [0.05, 0.05, 0.1, 0.15, 0.2],
  medium: [0.1, 0.1, 0.2, 0.3, 0.5],
};

/** Classes of general tolerance that the tables know. */
export type GeneralClass = 'fine' | 'medium';

const bandOf = (bands: number[], nominal: number) => bands.findIndex((upTo) => nominal <= upTo);

/**
 * Width of a standard tolerance, mm.
 * @param grade 5 to 14
 * @param nominal mm, up to 120
 * @returns undefined outside the table
 */
export function standardTolerance(grade: number, nominal: number): number | undefined {
  const width = GRADES[grade]?.[bandOf(BANDS, nominal)];
  return width === undefined ? undefined : width / 1000;
}

/** The deviation of a shaft that lies nearest to its nominal size, mm; undefined where no table has its letter. */
function shaftDeviation(letter: string, grade: number, nominal: number): number | undefined {
  const press = PRESS[letter]?.[bandOf(PRESS_BANDS, nominal)];
  const found = press ?? SHAFTS[letter]?.[bandOf(BANDS, nominal)];
  return found === undefined ? undefined : (letter === 'k' && grade > 7 ? 0 : found) / 1000;
}

/**
 * The upper limit of a tight hole: that of the shaft of its letter mirrored, and moved by as much as the grade is wider than the
 * next finer one (ISO 286-1); undefined where that grade has none.
 */
function tightHole(letter: string, grade: number, nominal: number): number | undefined {
  const shaft = shaftDeviation(letter.toLowerCase(), 7, nominal);
  const [width, finer] = [grade, grade - 1].map((one) => standardTolerance(one, nominal));
  const isMoved = nominal > (BANDS[0] ?? 0) && grade <= (MOVED_TO[letter] ?? 0);
  if (shaft === undefined || (isMoved && finer === undefined) || (letter === 'K' && !isMoved && grade > 8))
    return undefined;
  if (letter === 'N' && grade > 8 && nominal > (BANDS[0] ?? 0)) return 0;
  return -shaft + (isMoved ? (width ?? 0) - (finer ?? 0) : 0);
}

const noTable = (fit: string, nominal: number, path: string) =>
  refuse(path, `no table for ${fit} at ${sayFigure(nominal)} mm; grades 5 to 14, sizes to 120 mm; give limits instead`);

/** Limits of a hole that is no H. */
function holeDeviations(fit: string, grade: number, width: number, nominal: number, path: string): Result<Deviations> {
  const letter = fit.charAt(0);
  if (letter in MOVED_TO) {
    const upper = tightHole(letter, grade, nominal);
    return upper === undefined ? noTable(fit, nominal, path) : good({ lower: upper - width, upper });
  }
  const lower = 0 - (shaftDeviation(letter.toLowerCase(), grade, nominal) ?? 0);
  return good({ lower, upper: lower + width });
}

const LETTERS = [...Object.keys(SHAFTS), ...Object.keys(PRESS)];
const HOLES = ['D', 'E', 'F', 'G', 'H', ...Object.keys(MOVED_TO)];

/**
 * Limits of an ISO fit such as `h8` (shaft) or `H7` (hole) at a nominal size (trade: Tables).
 * @param nominal mm
 * @param path where the size stands, for the refusal
 */
export function fitDeviations(fit: string, nominal: number, path: string): Result<Deviations> {
  const match = /^([a-zA-Z]|js|JS)(\d{1,2})$/.exec(fit.trim());
  const letter = match?.[1] ?? '';
  const grade = Number(match?.[2]);
  const isHole = HOLES.includes(letter);
  if (!match || (!LETTERS.includes(letter) && !isHole && letter.toLowerCase() !== 'js'))
    return refuse(
      path,
      `“${fit}” is not a fit in the tables; shafts ${LETTERS.join(', ')} and js, and holes ${HOLES.join(', ')} and JS, as in h8 or H7`,
    );
  const width = standardTolerance(grade, nominal);
  if (width === undefined) return noTable(fit, nominal, path);
  if (letter.toLowerCase() === 'js') return good({ lower: -width / 2, upper: width / 2 });
  if (isHole) return holeDeviations(fit.trim(), grade, width, nominal, path);
  const fundamental = shaftDeviation(letter, grade, nominal) ?? 0;
  return good(
    letter <= 'h'
      ? { lower: fundamental - width, upper: fundamental }
      : { lower: fundamental, upper: fundamental + width },
  );
}

/**
 * General tolerance for a size that names none of its own, mm either way.
 * @returns undefined above 400 mm
 */
export function generalTolerance(generalClass: GeneralClass, nominal: number): number | undefined {
  return GENERAL[generalClass]?.[bandOf(GENERAL_BANDS, nominal)];
}

/** The finest standard grade whose tolerance is at least this wide; 12 when wider than the table (start of “coarse”). */
export function gradeOf(width: number, nominal: number): number {
  const finest = [5, 6, 7, 8, 9, 10, 11].findLast((grade) => (standardTolerance(grade, nominal) ?? 0) <= width + 1e-9);
  const widest = standardTolerance(11, nominal);
  return widest !== undefined && width > widest + 1e-9 ? 12 : (finest ?? 4);
}
