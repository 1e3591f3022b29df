import { cookies } from 'next/headers';
import { readDeviceSettings } from '@/core/formats/deviceSettings';
import type { DeviceSettings } from '@/core/model/deviceSettings';
import { SETTINGS_COOKIE } from '@/ui/device/settingsCookie';

/** How the device that asks wants things. */
export const deviceSettings = async (): Promise<DeviceSettings> =>
  readDeviceSettings((await cookies()).get(SETTINGS_COOKIE)?.value);
