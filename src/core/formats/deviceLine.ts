import Joi from 'joi';
import { refuse, type Result } from '../model/result';
import { checkShape } from '../read/problems';

/** What a gauge or a read-out showed, mm: a size, or where its axes stand. */
export interface DeviceReading {
  device: string;
  /** A gauge shows one figure. */
  size?: number;
  /** A read-out shows where its slides stand. */
  axes?: Readonly<Record<string, number>>;
  /** The line as it came. */
  line: string;
}

const MM_PER_INCH = 25.4;
const NUMBER = String.raw`[+-]?\d+(?:[.,]\d+)?`;
const GAUGE = new RegExp(String.raw`^\s*(${NUMBER})\s*(mm|in|")?\s*$`);
const AXES = new RegExp(String.raw`([A-Z])\s*(${NUMBER})`, 'g');
const IS_AXES = new RegExp(String.raw`^\s*(?:[A-Z]\s*${NUMBER}\s*)+(mm|in)?\s*$`);

const figure = (text: string, unit: string | undefined): number =>
  Number(text.replace(',', '.')) * (unit === 'in' || unit === '"' ? MM_PER_INCH : 1);

const schema = Joi.object<{ device: string; line: string }>({
  device: Joi.string().trim().min(1).max(60).required(),
  line: Joi.string().trim().min(1).max(200).required(),
}).required();

/**
 * Reads a line as gauges and read-outs send them: `12.34`, `12,34 mm`, `0.4858 in`; `X14.300 Z-18.250`. Without a unit it is mm.
 * Refuses what is neither, with an example.
 */
export function readDeviceLine(value: unknown): Result<DeviceReading> {
  const shaped = checkShape(schema, value);
  if (!shaped.ok) return shaped;
  const { device, line } = shaped.value;
  const gauge = GAUGE.exec(line);
  if (gauge) return { ok: true, value: { device, line, size: figure(gauge[1] ?? '', gauge[2]) } };
  const axes = IS_AXES.exec(line);
  if (axes)
    return {
      ok: true,
      value: {
        device,
        line,
        axes: Object.fromEntries(
          [...line.matchAll(AXES)].map(([, axis = '', text = '']) => [axis, figure(text, axes[1])]),
        ),
      },
    };
  return refuse('line', `“${line}” is no reading: 12.34, 0.486 in or X14.300 Z-18.250 are`);
}
