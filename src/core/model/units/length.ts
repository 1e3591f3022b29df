import { good, type Result, missing, bad } from '../result';
import { sayDigits, sayFigure } from './mark';

/** The two systems a drawing may use. The core itself counts in millimetres only. */
export type UnitSystem = 'mm' | 'in';

/** Millimetres in an inch, exact by definition. */
export const MM_PER_INCH = 25.4;

const UNIT_MM: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
  thou: MM_PER_INCH / 1000,
  ft: MM_PER_INCH * 12,
};

const NUMBER = String.raw`(?:\d+(?:[.,]\d*)?|[.,]\d+)`;
const LENGTH = new RegExp(
  String.raw`^([+−-]?)\s*(?:(?:(\d+)(?:\s+|-))?(\d+)\s*\/\s*(\d+)|(${NUMBER}))\s*(mm|cm|m|inch|in|thou|ft|"|″)?$`,
  'i',
);

/** Fractions of one letter as their figures: `1½` is `1 1/2`. */
const spelt = (text: string): string =>
  text.replace(/\s*([¼-¾⅐-⅞])/g, (_, fraction: string) => ` ${fraction.normalize('NFKD').replace('⁄', '/')}`).trim();

const decimal = (text: string) => Number(text.replace(',', '.'));

/**
 * Reads a length as people write it: `12.7`, `.35in`, `3/8`, `1 1/32"`, `5 thou`, `12,7 mm`.
 * A number, or text without a unit, is in `units`; a fraction without one is asked about in mm.
 * @returns millimetres, or a message that says what was not understood
 * @example parseLength('1 1/32"', 'mm') // { ok: true, value: 26.19375 }
 */
export function parseLength(entry: number | string, units: UnitSystem): Result<number> {
  const text = String(entry).trim();
  if (text === '') return bad(missing(''));
  const match = LENGTH.exec(spelt(text));
  const unclear = (why: string): Result<number> => ({ ok: false, problems: [{ path: '', message: why }] });
  if (!match) return unclear(`“${text}” is not a length; write for example ${sayFigure(12.7)}, 3/8 in or 1 1/32"`);
  const [, sign, whole, top, bottom, plain, unit] = match;
  if (bottom !== undefined && Number(bottom) === 0) return unclear(`“${text}” divides by nothing`);
  // Half a millimetre, or half an inch on a drawing in mm: nobody can know.
  if (plain === undefined && unit === undefined && units === 'mm')
    return unclear(
      `“${text}” may be mm or inches: write ${sayFigure(Number(whole ?? 0) + Number(top) / Number(bottom), 4)}, or ${text} in`,
    );
  const value = plain === undefined ? Number(whole ?? 0) + Number(top) / Number(bottom) : decimal(plain);
  const factor = UNIT_MM[(unit ?? units).toLowerCase()] ?? 1;
  if (!Number.isFinite(value * factor)) return unclear(`“${text.slice(0, 20)}…” is larger than any length`);
  return good((sign === '-' || sign === '−' ? -1 : 1) * value * factor);
}

/**
 * Writes a length of the core (mm) in the given system, for a program: mm to 0.01, inch to 0.001, one place finer when `fine`.
 * The unit itself is not appended.
 */
export function lengthDigits(mm: number, units: UnitSystem, fine = false): string {
  const places = (units === 'mm' ? 2 : 3) + (fine ? 1 : 0);
  const text = (units === 'mm' ? mm : mm / MM_PER_INCH).toFixed(places);
  return /[1-9]/.test(text) ? text : text.replace('-', '');
}

/** The same for people. */
export const formatLength = (mm: number, units: UnitSystem, fine = false): string =>
  sayDigits(lengthDigits(mm, units, fine)).replace('-', '−');

/** Without trailing noughts, for names such as ⌀26 and for entries: `26`, `0.5`. */
export function formatNominal(mm: number, units: UnitSystem): string {
  return units === 'mm' ? sayFigure(mm, 3) : sayFigure(mm / MM_PER_INCH, 4);
}
