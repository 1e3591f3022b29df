import { sayFigure } from '../units/mark';
import { good, refuse, type Result } from '../result';
import { MM_PER_INCH } from '../units/length';
import type { Thread } from './feature';

/** Coarse pitches by nominal diameter, mm (trade: Tables). */
const COARSE: Record<string, number> = {
  2: 0.4,
  2.5: 0.45,
  3: 0.5,
  4: 0.7,
  5: 0.8,
  6: 1,
  7: 1,
  8: 1.25,
  10: 1.5,
  12: 1.75,
  14: 2,
  16: 2,
  18: 2.5,
  20: 2.5,
  22: 2.5,
  24: 3,
};

/** Unified threads: numbers and fractions with their turns per inch (trade: Tables). */
const UNIFIED =
  '4-40 6-32 8-32 10-24 10-32 1/4-20 1/4-28 5/16-18 5/16-24 3/8-16 3/8-24 7/16-14 1/2-13 1/2-20 5/8-11 5/8-18 3/4-10'.split(
    ' ',
  );

/** Diameter of a unified thread by its number or fraction, in inches: numbers count 0.013 from 0.060. */
function unifiedInches(name: string): number {
  const [over, under] = name.split('/').map(Number);
  return under ? (over ?? 0) / under : 0.06 + 0.013 * Number(name);
}

/** What a designation says beside its size: `M10 LH-6g`. */
interface Said {
  plain: string;
  hand?: string;
  of?: string;
}

/** Takes hand and class off the end of a designation, in whichever order they stand. */
function saidBeside(text: string): Said {
  const hand = /[\s-]+(LH|left(?:[\s-]hand)?|RH)(?=$|[\s-])/i.exec(text);
  const without = hand ? text.replace(hand[0], ' ').trim() : text.trim();
  const of = /[\s-]+([3-9][a-hA-H]|[1-3][AB])$/.exec(without);
  return {
    plain: (of ? without.slice(0, -of[0].length) : without).trim(),
    ...(hand?.[1] ? { hand: /^R/i.test(hand[1]) ? 'right' : 'left' } : {}),
    ...(of?.[1] ? { of: of[1] } : {}),
  };
}

/**
 * Reads a thread designation with its hand and class: `M6`, `M14x1`, `1/4-20`, `10-32 UNF`, `M10 LH-6g`, `3/8-16 UNC-2A`. A metric
 * thread without pitch is the coarse one.
 * @param classes those that it may have, a bolt's or a nut's
 * @param told hand and class where they were said apart from it
 * @returns diameter and pitch in mm, or what is not known about it
 */
export function readThread(
  text: string,
  path: string,
  classes: readonly string[] = [],
  told: { hand?: string | undefined; of?: string | undefined } = {},
): Result<Thread> {
  const { plain, hand, of } = saidBeside(text);
  if (of !== undefined && !classes.includes(of))
    return refuse(
      path,
      `${of} is ${NUT_CLASSES.some((nut) => nut === of) ? 'a nut’s class' : 'no class here'}; it can be ${classes.join(', ')}`,
    );
  const read = readPlainThread(plain, path);
  return read.ok ? good(drawnAs(read.value, { hand: told.hand ?? hand, of: told.of ?? of })) : read;
}

function readPlainThread(text: string, path: string): Result<Thread> {
  const metric = /^m\s*(\d+(?:[.,]\d+)?)(?:\s*[x×*]\s*(\d+(?:[.,]\d+)?))?$/i.exec(text.trim());
  const number = (digits: string) => Number(digits.replace(',', '.'));
  if (metric?.[1]) {
    const diameter = number(metric[1]);
    const pitch = metric[2] ? number(metric[2]) : COARSE[String(diameter)];
    if (pitch === undefined)
      return refuse(
        path,
        `M${diameter} has no coarse pitch in the table (${Object.keys(COARSE)
          .map(Number)
          .sort((a, b) => a - b)
          .map((d) => `M${d}`)
          .join(', ')}); write its pitch, as M${diameter}x1`,
      );
    if (pitch <= 0 || pitch > diameter / 2)
      return refuse(path, `a pitch of ${sayFigure(pitch)} mm is not one for a thread of ${sayFigure(diameter)} mm`);
    return good({ designation: `M${diameter}${metric[2] ? `x${pitch}` : ''}`, diameter, pitch });
  }
  const unified = /^(?:no\.?\s*|#)?(\d+(?:\/\d+)?)(?:\s*in|")?\s*-\s*(\d+)(?:\s*un[cfs]?)?$/i.exec(text.trim());
  if (unified?.[1] && unified[2]) {
    const designation = `${unified[1]}-${unified[2]}`;
    if (UNIFIED.includes(designation))
      return good({
        designation,
        diameter: unifiedInches(unified[1]) * MM_PER_INCH,
        pitch: MM_PER_INCH / Number(unified[2]),
      });
    return refuse(path, `“${text}” is not in the table of unified threads: ${UNIFIED.join(', ')}`);
  }
  return refuse(path, `“${text}” is not a thread; write M6, M14x1 or 1/4-20`);
}

/** Classes of tolerance that a thread may be drawn with: of a bolt, and of a nut. */
export const BOLT_CLASSES = ['4h', '6e', '6g', '6h', '8g', '1A', '2A', '3A'] as const;
export const NUT_CLASSES = ['4H', '5H', '6G', '6H', '7H', '1B', '2B', '3B'] as const;

/** A thread as the drawing calls it: with its hand where that is the left, and its class: `M10 LH-6g`. */
export const drawnAs = (
  thread: Thread,
  { hand, of }: { hand: string | undefined; of: string | undefined },
): Thread => ({
  ...thread,
  designation: `${thread.designation}${hand === 'left' ? ' LH' : ''}${of ? `-${of}` : ''}`,
  ...(hand === 'left' ? { hand } : {}),
  ...(of === undefined ? {} : { of }),
});

/** Depth of an external 60° thread, mm: 0.6134 P (trade: Cutting). */
export const threadDepth = ({ pitch }: Thread): number => 0.6134 * pitch;

/** Drill before a tap, mm: d − P (trade: Cutting). */
export const tapDrill = ({ diameter, pitch }: Thread): number => diameter - pitch;

/** Pitch diameter, mm: d − 0.649519 P (trade: Shop arithmetic); a thread weighs as the cylinder of this diameter. */
export const pitchDiameter = ({ diameter, pitch }: Thread): number => diameter - 0.649519 * pitch;

/** The wire that touches a 60° thread at its pitch line, 0.57735 P, mm (trade: Shop arithmetic). */
export const bestWire = ({ pitch }: Thread): number => 0.57735 * pitch;

/** What three such wires measure over, M = d2 + 3 W − 0.866025 P, mm (trade: Shop arithmetic). */
export const overWires = (thread: Thread, wire: number): number =>
  pitchDiameter(thread) + 3 * wire - 0.866025 * thread.pitch;
