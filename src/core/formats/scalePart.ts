import { sizeObject, type LengthEntry, type SizeEntry } from '../model/part/size';
import { MM_PER_INCH, parseLength, type UnitSystem } from '../model/units/length';
import { withEachLength, type LengthPlace, type WithLengths } from './eachLength';

/** What stays as it is on a part of another size: how closely it runs true, work elsewhere, and the teeth of a knurl. */
const stays = ({ list, kind, key }: LengthPlace): boolean =>
  list === 'runout' || list === 'elsewhere' || (kind === 'knurl' && key === 'pitch');

/**
 * A part so many times as large: its sizes and places. Limits, fits, threads and knurls stay as they are, since none of them grows
 * with a part; they are to be looked over.
 * @returns the part, and lengths that could not be changed, as they are written
 */
export function scalePart<P extends WithLengths>(
  part: P,
  times: number,
  units: UnitSystem,
): { part: P; left: string[] } {
  const left: string[] = [];
  const scaled = (entry: LengthEntry): LengthEntry => {
    const length = parseLength(entry, units);
    if (length.ok) return Number(((length.value * times) / (units === 'in' ? MM_PER_INCH : 1)).toFixed(4));
    if (!/^(through)?$/.test(String(entry).trim())) left.push(String(entry));
    return entry;
  };
  const changed = withEachLength(part, (entry, place) => {
    if (stays(place)) return entry;
    const parts: SizeEntry = sizeObject(entry);
    const next: SizeEntry = typeof parts === 'object' ? { ...parts, size: scaled(parts.size) } : scaled(parts);
    return next as typeof entry;
  });
  return { part: changed, left };
}
