import { sayEntry } from '../units/mark';
import { bad, good, refuse, type Problem, type Result } from '../result';
import { parseLength, type UnitSystem } from '../units/length';
import { fitDeviations, generalTolerance, type Deviations, type GeneralClass } from './tolerance';

/** A length as it stands in a run file: a number in the file's units, or text with or without a unit. */
export type LengthEntry = number | string;

/** A size as it stands in a run file: a length, text such as `14 h8` or `22 -0.1/0`, or an object. */
export type SizeEntry =
  | LengthEntry
  | {
      size: LengthEntry;
      fit?: string;
      limits?: [LengthEntry, LengthEntry];
      /** It does not matter. */
      free?: true;
      /** Near this, as suits. */
      about?: true;
    };

export const isLength = (entry: unknown): entry is LengthEntry =>
  typeof entry === 'number' || typeof entry === 'string';

export const isSize = (entry: unknown): entry is SizeEntry =>
  isLength(entry) || (typeof entry === 'object' && entry !== null && 'size' in entry && isLength(entry.size));

/** A size with its limits, mm. */
export interface Size extends Deviations {
  nominal: number;
  /** What the tool aims at: the middle of the limits. */
  aim: number;
  from: 'fit' | 'limits' | 'general';
  fit?: string;
  /** The drawing leaves it open: nobody measures it, and the general tolerance is more than is asked. */
  open?: 'free' | 'about';
}

/** A size that is what it is, without limits. */
export const exactly = (mm: number): Size => ({ nominal: mm, lower: 0, upper: 0, aim: mm, from: 'general' });

/** How a size is read: the units of the file, the class of its general tolerance, and where it stands. */
export interface SizeContext {
  units: UnitSystem;
  general: GeneralClass;
  path: string;
}

const at = (path: string, problems: Problem[]): { ok: false; problems: Problem[] } =>
  bad(...problems.map((problem) => ({ ...problem, path })));

/** A figure with a point or a comma, as no fraction has one. */
const DECIMAL = String.raw`\d*[.,]\d+`;
/** `11.9/12.1`, `12.1 to 11.9`: both limits themselves. */
const BOTH = new RegExp(String.raw`^(${DECIMAL}|\d+)\s*(?:/|to|…)\s*(${DECIMAL}|\d+)$`, 'i');
/** Limits that follow with no space: `12+0.1-0.05`, `12-0.1`. */
const CLOSE_BEHIND = new RegExp(
  String.raw`^([^\s+−-]+)([+−-](?:${DECIMAL}|\d+))(?:\s*/?\s*([+−-](?:${DECIMAL}|\d+)|0))?$`,
);

const figureOf = (text: string): number => Number.parseFloat(text.replace('−', '-').replace(',', '.'));

/** Both limits as a size of their middle; whole numbers with a stroke between are a fraction. */
function betweenBoth(text: string): Exclude<SizeEntry, LengthEntry> | undefined {
  const [, one = '', other = ''] = BOTH.exec(text) ?? [];
  if (one === '' || (!/[.,]/.test(one) && !/[.,]/.test(other) && text.includes('/'))) return undefined;
  const [least = 0, most = 0] = [figureOf(one), figureOf(other)].sort((a, b) => a - b);
  const round = (value: number) => Number(value.toFixed(6));
  const middle = round((least + most) / 2);
  return { size: middle, limits: [round(least - middle), round(most - middle)] };
}

/**
 * Takes the text of a size apart: `14 h8`, `22 ±0.1`, `22 -0.1/0`, `9 +0.05`, `12+0.1-0.05`, `11.9/12.1`, `⌀12h7`, `40 free`, `about 5`.
 * Plain lengths come back as they are.
 */
function splitText(entry: string): Exclude<SizeEntry, number> {
  const text = entry
    .trim()
    .replace(/^[⌀Øø∅]\s*/, '')
    .replace(/\+\s*\/\s*[-−]/, '±');
  const free = /^(.*\S)\s+free$/i.exec(text);
  if (free?.[1]) return { size: free[1], free: true };
  const about = /^about\s+(.*\S)$/i.exec(text);
  if (about?.[1]) return { size: about[1], about: true };
  const fit = /^(.*\S)\s+((?:[a-zA-Z]|js|JS)\d{1,2})$/.exec(text) ?? /^(.*\d)((?:[a-zA-Z]|js|JS)\d{1,2})$/.exec(text);
  if (fit?.[1] && fit[2]) return { size: fit[1], fit: fit[2] };
  const both = betweenBoth(text);
  if (both) return both;
  const close = CLOSE_BEHIND.exec(text);
  if (close?.[1] && close[2]) {
    const [one, other] = [close[2], close[3] ?? '0'];
    return { size: close[1], limits: figureOf(one) <= figureOf(other) ? [one, other] : [other, one] };
  }
  const even = /^(.*[^\s±])\s*±\s*([^±]+)$/.exec(text);
  if (even?.[1] && even[2]) return { size: even[1], limits: [`-${even[2].trim()}`, even[2].trim()] };
  // A nought may stand first without a sign; another figure without one is part of a fraction.
  const pair = /^(.*?\S)\s+([+−-][^\s/]+|0(?=\s*\/|\s+[+−-]))(?:\s*[/\s]\s*([+−-]?[^\s/]+))?$/.exec(text);
  if (pair?.[1] && pair[2]) {
    const [one, other] = [pair[2], pair[3] ?? '0'];
    // In a text the two may stand either way round: the lower is the lower.
    return { size: pair[1], limits: figureOf(one) <= figureOf(other) ? [one, other] : [other, one] };
  }
  return text;
}

/**
 * Reads a size with its limits. Without a tolerance of its own, the general tolerance applies (trade: Tables).
 * @returns the size in mm, or what is wrong with it at `context.path`
 */
export function readSize(entry: SizeEntry, { units, general, path }: SizeContext): Result<Size> {
  if (typeof entry === 'string') {
    const pair = /^(.*\S)\s+([A-Z]{1,2}\d{1,2})\s*\/\s*([a-z]{1,2}\d{1,2})$/.exec(entry.trim());
    if (pair)
      return refuse(path, `“${entry}” is the hole and the shaft: write ${pair[1]} ${pair[2]} or ${pair[1]} ${pair[3]}`);
    const side = /^(.*\S)\s*(max|min)\.?$/i.exec(entry.trim());
    if (side?.[1] && side[2]) return readOneSided(side[1], side[2].toLowerCase() === 'max', { units, general, path });
  }
  const parts = typeof entry === 'string' ? splitText(entry) : entry;
  const { size, fit, limits, free, about }: Exclude<SizeEntry, LengthEntry> =
    typeof parts === 'object' ? parts : { size: parts };
  const nominal = parseLength(size, units);
  if (!nominal.ok) return at(path, nominal.problems);
  if (nominal.value <= 0) return refuse(path, `${sayEntry(size)} must be more than nothing`);
  const whole = (deviations: Deviations, from: Size['from']): Result<Size> =>
    good({
      nominal: nominal.value,
      ...deviations,
      aim: nominal.value + (deviations.lower + deviations.upper) / 2,
      from,
      ...(fit === undefined ? {} : { fit }),
      ...(free ? { open: 'free' as const } : about ? { open: 'about' as const } : {}),
    });
  if (fit !== undefined) {
    const deviations = fitDeviations(fit, nominal.value, path);
    return deviations.ok ? whole(deviations.value, 'fit') : deviations;
  }
  if (limits) {
    const [lower, upper] = limits.map((limit) => parseLength(limit, units)) as [Result<number>, Result<number>];
    if (!lower.ok) return at(path, lower.problems);
    if (!upper.ok) return at(path, upper.problems);
    if (lower.value >= upper.value)
      return refuse(
        path,
        `the limits ${sayEntry(limits[0])} and ${sayEntry(limits[1])} are the wrong way round or leave nothing; lower first`,
      );
    return whole({ lower: lower.value, upper: upper.value }, 'limits');
  }
  const width = generalTolerance(general, nominal.value);
  if (width === undefined)
    return refuse(path, `${sayEntry(size)} is beyond the general tolerances (400 mm); give limits`);
  return whole({ lower: -width, upper: width }, 'general');
}

/** One limit is said: on its other side is left as much as the general tolerance is wide. */
function readOneSided(text: string, isMost: boolean, context: SizeContext): Result<Size> {
  const plain = readSize(text, context);
  if (!plain.ok) return plain;
  const { nominal, lower, upper, from } = plain.value;
  if (from !== 'general') return refuse(context.path, `${text} has limits already; one of both is enough`);
  const width = upper - lower;
  const limits = isMost ? { lower: -width, upper: 0 } : { lower: 0, upper: width };
  return good({ ...plain.value, ...limits, aim: nominal + (limits.lower + limits.upper) / 2, from: 'limits' });
}

/** Reads a place: a size that may also be nothing, where it is at the face itself. */
export function readPlace(entry: SizeEntry, context: SizeContext): Result<Size> {
  const parts = typeof entry === 'string' ? splitText(entry) : entry;
  const nominal = parseLength(typeof parts === 'object' ? parts.size : parts, context.units);
  if (nominal.ok && nominal.value === 0 && (typeof parts !== 'object' || !parts.limits)) return good(exactly(0));
  return readSize(entry, context);
}

/**
 * The text of a size entry, as it is typed on the page: `14 h8`, `9 0/0.05`.
 * @param as how its figures are written: as in a file, or as they are said on a device
 */
export function sizeText(entry: SizeEntry | undefined, as: (figure: LengthEntry) => string = String): string {
  if (entry === undefined) return '';
  if (typeof entry !== 'object') return as(entry);
  const size = as(entry.size);
  if (entry.fit) return `${size} ${entry.fit}`;
  if (entry.free) return `${size} free`;
  if (entry.about) return `about ${size}`;
  if (!entry.limits) return size;
  const [least, most] = entry.limits.map(as);
  if (least !== undefined && least.replace('−', '-') === `-${most}`) return `${size} ±${most}`;
  const [lower, upper] = entry.limits.map((limit) => (/^[+−-]|^0$/.test(as(limit)) ? as(limit) : `+${as(limit)}`));
  // A figure of its own begins with its sign; nought has none, and stands last.
  return lower === '0' ? `${size} ${upper}/0` : `${size} ${lower}/${upper}`;
}

/** The same as a device says its figures: `14,5 h8`. What was typed stays as it was typed. */
export const saySize = (entry: SizeEntry | undefined): string => sizeText(entry, sayEntry);

/** The size as the object form of the run file, for programs that do not read the text form. */
export function sizeObject(entry: SizeEntry): SizeEntry {
  return typeof entry === 'string' ? splitText(entry) : entry;
}
