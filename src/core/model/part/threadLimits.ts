import { MM_PER_INCH } from '../units/length';
import type { Thread } from './feature';
import type { Deviations } from './tolerance';

/** Fundamental deviations of metric bolts by the letter of their class, µm: a + b · P (ISO 965). */
const METRIC_ABOVE: Record<string, readonly [number, number]> = { e: [50, 11], g: [15, 11], h: [0, 0] };

/** Their tolerance on the major diameter by grade, × that of grade 6 (ISO 965). */
const METRIC_GRADE: Record<string, number> = { 4: 0.63, 6: 1, 8: 1.6 };

/** The tolerance of metric nuts on the minor diameter by grade, × that of grade 6 (ISO 965). */
const NUT_GRADE: Record<string, number> = { 4: 0.63, 5: 0.8, 6: 1, 7: 1.25, 8: 1.6 };

/** Unified bolts by class: factor on the tolerance of the major diameter, and whether there is an allowance (ASME B1.1). */
const UNIFIED_CLASS: Record<string, { tolerance: number; allowed: boolean }> = {
  '1A': { tolerance: 0.09, allowed: true },
  '2A': { tolerance: 0.06, allowed: true },
  '3A': { tolerance: 0.06, allowed: false },
};

function metric(pitch: number, grade: string, letter: string): Deviations {
  const [fixed = 0, perPitch = 0] = METRIC_ABOVE[letter] ?? [];
  const upper = -(fixed + perPitch * pitch) / 1000;
  const tolerance = ((METRIC_GRADE[grade] ?? 1) * (180 * Math.cbrt(pitch) ** 2 - 3.15 / Math.sqrt(pitch))) / 1000;
  return { lower: upper - tolerance, upper };
}

function unified(diameter: number, pitch: number, { tolerance, allowed }: { tolerance: number; allowed: boolean }) {
  const [d, p] = [diameter / MM_PER_INCH, Math.cbrt(pitch / MM_PER_INCH) ** 2];
  const upper = allowed ? -0.3 * (0.0015 * Math.cbrt(d) + 0.0015 * Math.sqrt(d) + 0.015 * p) : 0;
  return { lower: (upper - tolerance * p) * MM_PER_INCH, upper: upper * MM_PER_INCH };
}

/**
 * How far the major diameter of a bolt may be off its nominal one, mm (trade: Cutting): a metric one by its class, 6g where
 * none is named, a unified one by 2A.
 */
export function majorLimits({ designation, diameter, pitch, of }: Thread): Deviations {
  if (!designation.startsWith('M'))
    return unified(diameter, pitch, UNIFIED_CLASS[of ?? '2A'] ?? { tolerance: 0.06, allowed: true });
  const [grade = '6', letter = 'g'] = of ?? '6g';
  return metric(pitch, grade, letter);
}

/** The tolerance of a unified nut on its minor diameter, in of pitch and diameter in inches (ASME B1.1): 3B is closer than 1B and 2B. */
function unifiedNut(d: number, p: number, of: string): number {
  const small = 0.05 * Math.cbrt(p) ** 2 + (0.03 * p) / d - 0.002;
  const [least, most] = [of === '3B' ? 0.23 * p - 1.5 * p ** 2 : 0.25 * p - 0.4 * p ** 2, 0.394 * p];
  if (of !== '3B' && d >= 0.25) return least;
  return Math.min(Math.max(small, least), most);
}

/**
 * Between which diameters the core hole of a nut lies whose class the drawing names, mm (trade: Cutting): D1 = d −
 * 1.0825 P, and 230 P^0.7 µm wide by 6H, below a pitch of 1 mm 433 P − 190 P^1.22; a unified one by its own tables; undefined
 * where it names none.
 */
export function minorLimits({ designation, diameter, pitch, of }: Thread): { least: number; most: number } | undefined {
  if (of === undefined) return undefined;
  if (!designation.startsWith('M')) {
    const least = diameter - 1.0825 * pitch;
    return { least, most: least + MM_PER_INCH * unifiedNut(diameter / MM_PER_INCH, pitch / MM_PER_INCH, of) };
  }
  const [grade = '6', letter = 'H'] = of;
  const sixth = pitch < 1 ? 433 * pitch - 190 * pitch ** 1.22 : 230 * pitch ** 0.7;
  // G stands off by as much as g.
  const [fixed = 0, perPitch = 0] = METRIC_ABOVE[letter.toLowerCase()] ?? [];
  const least = diameter - 1.0825 * pitch + (fixed + perPitch * pitch) / 1000;
  return { least, most: least + ((NUT_GRADE[grade] ?? 1) * sixth) / 1000 };
}
