import type { DeviceReading } from '@/core/formats/deviceLine';

type Listener = (reading: DeviceReading) => void;

const shared = globalThis as { shingleDeviceListeners?: Set<Listener> };
const listeners = (shared.shingleDeviceListeners ??= new Set());

/** Tells the pages that listen what a device showed; what nobody listens to is gone, as on the device itself. */
export function tellReading(reading: DeviceReading): number {
  for (const listener of listeners) listener(reading);
  return listeners.size;
}

/** Listens to the devices of the shop. @returns what ends it */
export function onReading(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
