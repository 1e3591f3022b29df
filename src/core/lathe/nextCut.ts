import { sayFixed } from '../model/units/mark';
import { figure, term, termOf, type Figure } from '../model/figure';
import type { LatheValues } from '../model/shop/latheValues';

/** Limits of a size as they are measured, mm: not off its nominal, but as they stand on the gauge. */
export interface Limits {
  target: number;
  lower: number;
  upper: number;
}

/** What is measured, and what is known of it before. Diameters and lengths mm. */
export interface Measured {
  limits: Limits;
  /** A bore grows when it is cut; an outside and a length become less. */
  grows: boolean;
  /** Of a diameter half of what is left is cut on each side. */
  perSide: boolean;
  readings: readonly number[];
  /** How closely the gauge repeats, either way, mm. */
  gaugeRepeats: number;
  /** What it ought to be by the last size and what was dialled since, with its own spread. */
  expected?: { size: number; spread: number };
  /** The thinnest cut that the edge takes, and the deepest that is taken at once, mm a side. */
  thinnest: number;
  deepest: number;
}

/** A cut to take: how deep, and the size that it ends at. */
export interface NextPass {
  depth: number;
  to: number;
}

export type Outcome =
  | { kind: 'again'; because: 'doubted' | 'readings apart' }
  | { kind: 'in'; near: boolean }
  | { kind: 'cut'; passes: NextPass[] }
  | { kind: 'rub'; by: 'spring' | 'abrasive' }
  | { kind: 'spoilt' };

/** What a reading says and what comes next (trade: At the lathe). */
export interface NextCut {
  outcome: Outcome;
  /** What it is taken to be, with its spread. */
  size: Figure;
  spread: Figure;
  /** Where to cut to, and what is left until there, of the diameter or along. */
  aim: Figure;
  left: Figure;
  /** Whether gauge and cut can promise the limits. */
  promised: boolean;
  /** The reading was believed against what was expected: play, dial or mode of the read-out are asked for. */
  surprised: boolean;
}

const square = (value: number): number => value * value;

/** Spread of the mean of readings, not below a quarter of what the gauge repeats to: its own error does not average out. */
const gaugeSpread = (readings: readonly number[], repeats: number): number =>
  Math.max(repeats / 2 / Math.sqrt(readings.length), repeats / 4);

/** The reading and what was expected, by how sure each is. */
function believed(measured: Measured, mean: number): { size: Figure; spread: Figure; surprised: boolean } {
  const { readings, gaugeRepeats, expected } = measured;
  const own = gaugeSpread(readings, gaugeRepeats);
  const reading = term('m', 'mean of the readings', mean, 'mm', 'measured');
  const spreadOfReading = term('s', 'spread of the reading', own, 'mm', 'computed');
  const differs = expected !== undefined && isDoubted(measured, mean);
  if (!expected || differs)
    return {
      size: figure({ name: 'size', unit: 'mm', value: mean, formula: 'm', terms: [reading] }),
      spread: figure({
        name: 'spread of the size',
        unit: 'mm',
        value: own,
        formula: 'max(e / 2 / sqrt(n), e / 4)',
        terms: [
          term('e', 'the gauge repeats to', gaugeRepeats, 'mm', 'tool'),
          term('n', 'readings', readings.length, '', 'measured'),
        ],
      }),
      // One reading is read again first; several that agree are believed.
      surprised: differs && readings.length > 1,
    };
  const before = [
    term('x', 'size expected', expected.size, 'mm', 'computed'),
    term('t', 'spread of what was expected', expected.spread, 'mm', 'computed'),
  ];
  const [ofReading, ofBefore] = [1 / square(own), 1 / square(expected.spread)];
  return {
    size: figure({
      name: 'size, by reading and expectation',
      unit: 'mm',
      value: (mean * ofReading + expected.size * ofBefore) / (ofReading + ofBefore),
      formula: '(m / (s · s) + x / (t · t)) / (1 / (s · s) + 1 / (t · t))',
      terms: [reading, spreadOfReading, ...before],
    }),
    spread: figure({
      name: 'spread of the size',
      unit: 'mm',
      value: Math.sqrt(1 / (ofReading + ofBefore)),
      formula: 'sqrt(1 / (1 / (s · s) + 1 / (t · t)))',
      terms: [spreadOfReading, ...before.slice(1)],
    }),
    surprised: false,
  };
}

/** Whether a reading and what was expected do not agree: e + 2 σ₀ apart. */
const isDoubted = ({ expected, gaugeRepeats }: Measured, mean: number): boolean =>
  expected !== undefined && Math.abs(mean - expected.size) > gaugeRepeats + 2 * expected.spread + 1e-9;

/** Where to cut to: the target, as far inside the limits as reading and cut may be off; the middle where that is too much. */
function aimAt(
  { limits, grows }: Measured,
  spread: Figure,
  { cutSpread }: LatheValues,
): { aim: Figure; promised: boolean } {
  const { target, lower, upper } = limits;
  const off = 2 * Math.hypot(spread.value, cutSpread);
  const promised = lower + off <= upper - off;
  const terms = [
    term('g', 'target', target, 'mm', 'drawing'),
    term('l', 'lower limit', lower, 'mm', 'drawing'),
    term('u', 'upper limit', upper, 'mm', 'drawing'),
    termOf('s', spread),
    term('c', 'spread of one cut', cutSpread, 'mm', 'start value'),
  ];
  const U = '2 · sqrt(s · s + c · c)';
  if (!promised)
    return {
      promised,
      aim: figure({
        name: 'aim',
        unit: 'mm',
        value: (lower + upper) / 2,
        formula: '(l + u) / 2',
        terms: terms.slice(1, 3),
        note: `gauge and cut may be off by ${sayFixed(2 * off, 3)} mm, the limits are ${sayFixed(upper - lower, 3)} mm apart`,
      }),
    };
  // What is too much can still be cut, what is too little not: that side is kept clear of last.
  const value = grows
    ? Math.max(Math.min(target, upper - off), lower + off)
    : Math.min(Math.max(target, lower + off), upper - off);
  return {
    promised,
    aim: figure({
      name: 'aim',
      unit: 'mm',
      value,
      formula: grows ? `max(min(g, u − ${U}), l + ${U})` : `min(max(g, l + ${U}), u − ${U})`,
      terms,
    }),
  };
}

/** So many equal cuts, none deeper than is taken at once nor thinner than the edge takes; of a fit at least two alike. */
function passesFor(from: number, to: number, measured: Measured, isFit: boolean): NextPass[] {
  const { thinnest, deepest, perSide } = measured;
  const way = perSide ? 2 : 1;
  const all = Math.abs(from - to) / way;
  const wanted = Math.max(Math.ceil(all / deepest - 1e-9), isFit ? 2 : 1);
  const count = Math.max(1, Math.min(wanted, Math.floor(all / thinnest + 1e-9)));
  const depth = all / count;
  const sign = measured.grows ? 1 : -1;
  return Array.from({ length: count }, (_, index) => ({ depth, to: from + sign * (index + 1) * depth * way }));
}

/** What is done with a size that is still to be cut. */
function cutTo(measured: Measured, size: number, aim: number, off: number, values: LatheValues): Outcome {
  const { limits, grows, perSide, thinnest } = measured;
  const way = perSide ? 2 : 1;
  const isFit = limits.upper - limits.lower < values.fitWithin;
  const left = Math.abs(size - aim) / way;
  if (left >= thinnest - 1e-9) return { kind: 'cut', passes: passesFor(size, aim, measured, isFit) };
  // One thin cut that goes past the aim, as long as it stays clear of the limit behind it.
  const past = size + (grows ? 1 : -1) * thinnest * way;
  const isClear = grows ? past <= limits.upper - off : past >= limits.lower + off;
  if (isClear) return { kind: 'cut', passes: [{ depth: thinnest, to: past }] };
  const over = grows ? limits.lower - size : size - limits.upper;
  return { kind: 'rub', by: over <= values.abrasive + 1e-9 ? 'abrasive' : 'spring' };
}

/**
 * What readings of a size say, and what to do next: measure again, stop, cut so much in so many passes, rub, or it is spoilt
 * (trade: At the lathe).
 * @throws RangeError without a reading
 */
export function nextCut(measured: Measured, values: LatheValues): NextCut {
  const { readings, limits, grows, gaugeRepeats } = measured;
  if (readings.length === 0) throw new RangeError('nothing was read');
  const mean = readings.reduce((total, reading) => total + reading, 0) / readings.length;
  const { size, spread, surprised } = believed(measured, mean);
  const { aim, promised } = aimAt(measured, spread, values);
  const left = figure({
    name: measured.perSide ? 'left, a side' : 'left',
    unit: 'mm',
    value: (grows ? aim.value - size.value : size.value - aim.value) / (measured.perSide ? 2 : 1),
    formula: `${grows ? '(a − d)' : '(d − a)'}${measured.perSide ? ' / 2' : ''}`,
    terms: [termOf('d', size), termOf('a', aim)],
  });
  const told = { size, spread, aim, left, promised, surprised };
  const apart = Math.max(...readings) - Math.min(...readings);
  if (apart > 2 * gaugeRepeats + 1e-9) return { ...told, outcome: { kind: 'again', because: 'readings apart' } };
  if (readings.length === 1 && isDoubted(measured, mean))
    return { ...told, outcome: { kind: 'again', because: 'doubted' } };
  const is = size.value;
  if (is >= limits.lower - 1e-9 && is <= limits.upper + 1e-9)
    return {
      ...told,
      outcome: {
        kind: 'in',
        near: is < limits.lower + 2 * spread.value - 1e-9 || is > limits.upper - 2 * spread.value + 1e-9,
      },
    };
  if (grows ? is > limits.upper : is < limits.lower) return { ...told, outcome: { kind: 'spoilt' } };
  const off = promised ? 2 * Math.hypot(spread.value, values.cutSpread) : 0;
  return { ...told, outcome: cutTo(measured, is, aim.value, off, values) };
}

/**
 * A size as it is at 20 °C, measured while it is warmer (trade: At the lathe).
 * @param over how much warmer than 20 °C the piece is, K; the gauge likewise
 */
export const coldSize = (
  reading: number,
  { over, expansion }: { over: number; expansion: number },
  { over: gaugeOver, expansion: gaugeExpansion }: { over: number; expansion: number },
): number => (reading * (1 + gaugeExpansion * gaugeOver)) / (1 + expansion * over);
