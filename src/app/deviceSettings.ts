import { cookies } from 'next/headers';
import { readDeviceSettings, type DeviceSettings } from '@/core/formats/deviceSettings';
import { SETTINGS_COOKIE } from '@/ui/device/settingsCookie';

/** How the device that asks wants things. */
export const deviceSettings = async (): Promise<DeviceSettings> =>
  readDeviceSettings((await cookies()).get(SETTINGS_COOKIE)?.value);
