'use client';
import { SlidersHorizontal } from 'lucide-react';
import { IconButton } from '../primitives/Button';
import { later } from '../primitives/later';
import { useWindow } from '../primitives/useWindow';

const DeviceWindow = later(() => import('./DeviceWindow').then((loaded) => loaded.DeviceWindow));

/** Opens how this device wants things. */
export function DeviceButton() {
  const [open, show] = useWindow('this-device');
  return (
    <>
      <IconButton aria-label="On this device" onPress={() => show('this-device')}>
        <SlidersHorizontal size={18} aria-hidden />
      </IconButton>
      {open && <DeviceWindow onClose={() => show(undefined)} />}
    </>
  );
}
