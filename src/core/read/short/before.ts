import { readSize } from '../../model/part/size';
import { MM_PER_INCH, type UnitSystem } from '../../model/units/length';
import { byKeys } from '../byKeys';
import type { PartFile, StepFile } from '../runFile';

/** The step that was typed last, as far as what follows is placed on it. In the units of the file. */
export interface Before {
  z0: number;
  z1: number;
  diameter: number;
  /** The step before it is larger: its corner and its free end are turned round. */
  isBehind: boolean;
}

/** A size as a number in the units of the file; undefined where it does not read. */
export function numberOf(entry: unknown, units: UnitSystem): number | undefined {
  if (typeof entry !== 'number' && typeof entry !== 'string' && typeof entry !== 'object') return undefined;
  const size = readSize(entry as string, { units, general: 'medium', path: '' });
  return size.ok ? Number((size.value.nominal / (units === 'in' ? MM_PER_INCH : 1)).toFixed(6)) : undefined;
}

/** How wide a step is, at its largest. */
function diameterOf(step: StepFile, units: UnitSystem): number | undefined {
  const { diameter, across, from, to } = byKeys(step);
  const wide = [diameter, across, from, to].flatMap((entry) => numberOf(entry, units) ?? []);
  return wide.length > 0 ? Math.max(...wide) : undefined;
}

/** The last step of a part; undefined where there is none, or where its place does not follow yet. */
export function lastStep({ outside }: Pick<PartFile, 'outside'>, units: UnitSystem): Before | undefined {
  const step = outside.at(-1);
  if (!step) return undefined;
  const lengths = outside.map((one) => numberOf(byKeys(one)['length'], units));
  const diameter = diameterOf(step, units);
  if (diameter === undefined || lengths.some((length) => length === undefined)) return undefined;
  const z1 = round(lengths.reduce<number>((sum, length) => sum + (length ?? 0), 0));
  const former = outside.at(-2);
  return {
    z0: round(z1 - (lengths.at(-1) ?? 0)),
    z1,
    diameter,
    isBehind: former !== undefined && (diameterOf(former, units) ?? 0) > diameter,
  };
}

/** A place without the dust of adding up. */
export const round = (length: number): number => Number(length.toFixed(6));
