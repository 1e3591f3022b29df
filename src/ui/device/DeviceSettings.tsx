'use client';
import { createContext, use, useState, type ReactNode } from 'react';
import { USUAL_SETTINGS, type DeviceSettings } from '@/core/model/deviceSettings';
import { SETTINGS_COOKIE } from './settingsCookie';

const Settings = createContext<{ settings: DeviceSettings; change: (some: Partial<DeviceSettings>) => void }>({
  settings: USUAL_SETTINGS,
  change: () => undefined,
});

/** How this device wants things, and a way to change some of it. */
export const useDeviceSettings = () => use(Settings);

/** Gives every place what this device wants; the browser keeps it, and sends it along, for what the server makes. */
export function DeviceSettingsProvider({ served, children }: { served: DeviceSettings; children: ReactNode }) {
  const [settings, setSettings] = useState(served);
  const change = (some: Partial<DeviceSettings>) => {
    const next = { ...settings, ...some };
    setSettings(next);
    document.cookie = `${SETTINGS_COOKIE}=${encodeURIComponent(JSON.stringify(next))}; path=/; max-age=31536000; samesite=lax`;
    // What is on the page, and what its workers and the server made for it, says its figures as before.
    if (next.mark !== settings.mark) window.location.reload();
  };
  return <Settings value={{ settings, change }}>{children}</Settings>;
}
