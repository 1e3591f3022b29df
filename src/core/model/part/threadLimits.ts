import { MM_PER_INCH } from '../units/length';
import type { Thread } from './feature';
import type { Deviations } from './tolerance';

/** Fundamental deviations of metric bolts by the letter of their class, µm: a + b · P (ISO 965). */
const METRIC_ABOVE: Record<string, readonly [number, number]> = { e: [50, 11], g: [15, 11], h: [0, 0] };

/** Their tolerance on the major diameter by grade, × that of grade 6 (ISO 965). */
const METRIC_GRADE: Record<string, number> = { 4: 0.63, 6: 1, 8: 1.6 };

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
