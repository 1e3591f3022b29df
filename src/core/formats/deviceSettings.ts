import Joi from 'joi';
import type { UnitSystem } from '../model/units/length';
import type { DecimalMark } from './table';

/** How one device wants things, whoever works at it. */
export interface DeviceSettings {
  /** Units that a new run begins in. */
  units: UnitSystem;
  /** Decimal mark of the tables that it gives out. */
  mark: DecimalMark;
  /** Day on which the week begins, from Monday as 0. */
  weekFrom: 0 | 5 | 6;
}

/** What a device has that was told nothing. */
export const USUAL_SETTINGS: DeviceSettings = { units: 'mm', mark: 'point', weekFrom: 0 };

const schema = Joi.object<DeviceSettings>({
  units: Joi.string().valid('mm', 'in').required(),
  mark: Joi.string().valid('point', 'comma').required(),
  weekFrom: Joi.number().valid(0, 5, 6).required(),
});

/** Reads what a browser keeps of its settings; what is missing or is none of ours gives the usual ones. */
export function readDeviceSettings(text: string | undefined): DeviceSettings {
  try {
    const { value, error } = schema.validate({ ...USUAL_SETTINGS, ...(JSON.parse(text ?? '{}') as object) });
    return error ? USUAL_SETTINGS : value;
  } catch {
    return USUAL_SETTINGS;
  }
}
