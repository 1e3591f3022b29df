import Joi from 'joi';
import { USUAL_SETTINGS, type DeviceSettings } from '../model/deviceSettings';

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
